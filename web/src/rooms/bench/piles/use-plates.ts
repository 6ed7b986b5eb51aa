import type { NumberedPlates } from '@fleam/contract/facts/board'
import {
  numbersOf,
  type PlatePiece,
  type PlateRequest,
  type Plating,
  plateOfPiles,
  platesAsWeighed,
  platingByNumbers,
} from '@fleam/core/plating'
import { useEffect, useMemo, useRef, useState } from 'react'
import { readSetting } from '../../../data/settings.ts'
import { workAside } from '../../../workers/core-client.ts'
import type { LiveFabrication, StandingReading } from '../state/use-live-fabrication.ts'

export type Numbering = NumberedPlates['numbering']

export interface BenchPlates {
  /** What a plate takes; null while plates are not numbered. */
  plate: PlateRequest | null
  numbering: Numbering
  /** Number of the plate of a weighing, from one; null while it has none. */
  numberOf: (readingId: string) => number | null
  /** The plates that are whole. */
  plating: Plating | null
  pieces: readonly PlatePiece[]
  /** The number of what was weighed last on this device. */
  last: number | null
  isMatching: boolean
  begin: () => void
  stop: () => void
  change: (changes: Partial<Pick<NumberedPlates, 'plate' | 'numbering'>>) => void
  /** Matches all that was weighed; numbers that were given before are given anew. */
  match: () => void
}

/** What the version before kept on this device alone: until the record has plates of its own. */
function keptHere(key: string): NumberedPlates | null {
  try {
    const read = JSON.parse(readSetting(key) ?? 'null') as NumberedPlates | null
    const isWhole = read && [read.plate.low, read.plate.target, read.plate.high].every(Number.isFinite)
    return isWhole && typeof read.numbers === 'object' ? read : null
  } catch {
    return null
  }
}

interface Saying {
  plateNumbers: LiveFabrication['board']['plateNumbers']
  numberPlate: LiveFabrication['numberPlate']
}

/** Says the number of a piece that was weighed on this device, once. */
function useToldNumber(
  state: NumberedPlates | null,
  numbers: ReadonlyMap<string, number> | null,
  lastMine: StandingReading | undefined,
  { plateNumbers, numberPlate }: Saying,
): void {
  const reported = useRef(new Set<string>())
  useEffect(() => {
    if (!state || !numbers || !lastMine) return
    const { id } = lastMine
    const number = numbers.get(id)
    const isSaid = plateNumbers.has(id) || id in state.numbers || reported.current.has(id)
    if (number === undefined || isSaid) return
    reported.current.add(id)
    numberPlate(id, number)
  }, [state, numbers, lastMine, plateNumbers, numberPlate])
}

/**
 * Plates made of the pieces of a fabrication: each piece gets its plate's number as it is weighed, or all get
 * theirs at the end. Null where nothing is portioned piece by piece.
 */
export function usePlates({ record, standing, board, layOut, numberPlate }: LiveFabrication): BenchPlates | null {
  const usual = useMemo(() => plateOfPiles(record.piles), [record.piles])
  const [before] = useState(() => keptHere(`plates.${record.id}`))
  const [isMatching, setMatching] = useState(false)
  const plates = board.states.plates
  const state = plates === undefined ? before : (plates.state as NumberedPlates | null)
  const write = (next: NumberedPlates | null) => layOut('plates', next)
  const kinds = state?.plate.needs.map((need) => need.kind) ?? []
  const names = new Map(record.piles.map(({ id, name }) => [id, name]))
  const mine = state
    ? standing.filter(({ pileId, pieces }) => (pieces ?? 1) === 1 && kinds.includes(names.get(pileId) ?? ''))
    : []
  const pieces = mine.map(({ id, grams, pileId }) => ({ id, weight: grams, kind: names.get(pileId) as string }))
  const given = JSON.stringify(pieces)
  const { plateNumbers } = board
  const numbers = useMemo(() => {
    if (!state) return null
    // A number that was said stays said, on whatever device.
    const saidBefore = new Map([...Object.entries(state.numbers), ...plateNumbers])
    if (state.numbering === 'at-the-end') return saidBefore
    return platesAsWeighed({ pieces: JSON.parse(given) as PlatePiece[], plate: state.plate }, saidBefore)
  }, [state, given, plateNumbers])
  // The device that weighed a piece says its number; the others are told.
  const lastMine = mine.findLast((row) => row.isMine)
  useToldNumber(state, numbers, lastMine, { plateNumbers, numberPlate })
  if (!usual) return null
  const numberOf = (id: string) => {
    const number = numbers?.get(id)
    return number === undefined ? null : number + 1
  }
  return {
    plate: state?.plate ?? null,
    numbering: state?.numbering ?? 'as-weighed',
    numberOf,
    plating: state && numbers ? platingByNumbers({ pieces, plate: state.plate }, numbers) : null,
    pieces,
    last: lastMine ? numberOf(lastMine.id) : null,
    isMatching,
    begin: () => write({ plate: usual, numbering: 'as-weighed', numbers: {} }),
    stop: () => write(null),
    // Another plate is another puzzle: nothing that was said of the old one holds.
    change: (changes) => state && write({ ...state, ...changes, numbers: {} }),
    match: () => {
      if (!state) return
      setMatching(true)
      void workAside('plating', { pieces, plate: state.plate })
        .then((plating) => write({ ...state, numbers: Object.fromEntries(numbersOf(plating)) }))
        .catch(() => {})
        .finally(() => setMatching(false))
    },
  }
}
