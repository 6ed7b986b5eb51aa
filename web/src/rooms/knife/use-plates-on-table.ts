import {
  numbersOf,
  type PlatePiece,
  type PlatingRequest,
  platesAsWeighed,
  platingByNumbers,
  platingRequest,
} from '@fleam/core/plating'
import { useMemo } from 'react'
import { useKept } from './use-kept.ts'
import { useWork } from './use-work.ts'

const FIRST: PlatingRequest = {
  pieces: [],
  plate: { low: 190, target: 205, high: 225, needs: [{ kind: 'any', count: 2 }] },
}
const isWhole = (read: unknown): read is PlatingRequest => platingRequest.safeParse(read).success

type Numbers = Record<string, number>
const areNumbers = (read: unknown): read is Numbers =>
  typeof read === 'object' && read !== null && Object.values(read).every((number) => Number.isInteger(number))
const isFlag = (read: unknown): read is boolean => typeof read === 'boolean'

/** The pieces on the table, which plate each is on, and what can be changed. */
export function usePlatesOnTable() {
  const [request, setRequest] = useKept('plates', FIRST, isWhole)
  const [isAsWeighed, setAsWeighed] = useKept('plates-as-weighed', false, isFlag)
  const [numbers, setNumbers] = useKept<Numbers>('plates-numbers', {}, areNumbers)
  const checked = platingRequest.safeParse(request)
  const issue = checked.success ? null : checked.error.issues[0]
  const isWorking = !issue && request.pieces.length > 0
  const matched = useWork('plating', isWorking && !isAsWeighed ? request : null)
  const asWeighed = useMemo(
    () => (isWorking && isAsWeighed ? platesAsWeighed(request, new Map(Object.entries(numbers))) : null),
    [isWorking, isAsWeighed, request, numbers],
  )
  const plating = asWeighed ? platingByNumbers(request, asWeighed) : matched.answer
  const given = asWeighed ?? (plating ? numbersOf(plating) : new Map<string, number>())
  /** Other pieces: a number that was said stays with its piece. */
  const setPieces = (pieces: PlatePiece[]) => {
    if (asWeighed) setNumbers(Object.fromEntries(asWeighed))
    setRequest({ ...request, pieces })
  }
  /** A piece that was called the wrong kind: the others keep what was said of them. */
  const setKind = (id: string, kind: string) => {
    if (asWeighed) setNumbers(Object.fromEntries([...asWeighed].filter(([other]) => other !== id)))
    setRequest({ ...request, pieces: request.pieces.map((piece) => (piece.id === id ? { ...piece, kind } : piece)) })
  }
  /** Other plates, or another table: nothing that was said holds. */
  const begin = (next: PlatingRequest) => {
    setNumbers({})
    setRequest(next)
  }
  const setPlate = (changes: Partial<PlatingRequest['plate']>) =>
    begin({ ...request, plate: { ...request.plate, ...changes } })
  return {
    request,
    issue,
    matched,
    plating,
    given,
    isAsWeighed,
    begin,
    setPieces,
    setKind,
    setPlate,
    setAsWeighed: (isNow: boolean) => {
      setNumbers({})
      setAsWeighed(isNow)
    },
  }
}
export type PlatesOnTable = ReturnType<typeof usePlatesOnTable>
