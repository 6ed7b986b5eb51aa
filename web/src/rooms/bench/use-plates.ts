import {
  numbersOf,
  type PlatePiece,
  type PlateWish,
  type Plating,
  plateOfPiles,
  platesAsWeighed,
  platingByNumbers,
} from '@fleam/core'
import { useEffect, useMemo, useState } from 'react'
import { readSetting, writeSetting } from '../../data/settings.ts'
import { workAside } from '../../workers/core-client.ts'
import type { LiveFabrication } from './use-live-fabrication.ts'

export type Numbering = 'as-weighed' | 'at-the-end'

/** What a plate takes, when its number is given, and the numbers that pieces have. */
interface KeptPlates {
  plate: PlateWish
  numbering: Numbering
  numbers: Record<string, number>
}

export interface BenchPlates {
  /** What a plate takes; null while plates are not numbered. */
  plate: PlateWish | null
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
  change: (changes: Partial<Pick<KeptPlates, 'plate' | 'numbering'>>) => void
  /** Matches all that was weighed; numbers that were given before are given anew. */
  match: () => void
}

/** Half a setting is none. The contract would say which half, and weigh more than the bench may. */
const isWhole = ({ plate, numbers }: KeptPlates): boolean =>
  typeof numbers === 'object' &&
  numbers !== null &&
  [plate.low, plate.target, plate.high].every((grams) => Number.isFinite(grams)) &&
  plate.needs.every(({ kind, count }) => typeof kind === 'string' && Number.isInteger(count))

function kept(key: string): KeptPlates | null {
  try {
    const read = JSON.parse(readSetting(key) ?? 'null') as KeptPlates | null
    return read && isWhole(read) ? read : null
  } catch {
    return null
  }
}

/**
 * Plates made of the pieces of a fabrication: each piece gets its plate's number as it is weighed, or all get
 * theirs at the end. Null where nothing is portioned piece by piece.
 */
export function usePlates({ record, standing }: LiveFabrication): BenchPlates | null {
  const key = `plates.${record.id}`
  const usual = useMemo(() => plateOfPiles(record.piles), [record.piles])
  const [state, setState] = useState(() => kept(key))
  const [isMatching, setMatching] = useState(false)
  const write = (next: KeptPlates | null) => {
    setState(next)
    writeSetting(key, JSON.stringify(next))
  }
  const kinds = state?.plate.needs.map((need) => need.kind) ?? []
  const names = new Map(record.piles.map(({ id, name }) => [id, name]))
  const mine = state
    ? standing.filter(({ pileId, pieces }) => (pieces ?? 1) === 1 && kinds.includes(names.get(pileId) ?? ''))
    : []
  const pieces = mine.map(({ id, grams, pileId }) => ({ id, weight: grams, kind: names.get(pileId) as string }))
  const given = JSON.stringify(pieces)
  const numbers = useMemo(() => {
    if (!state) return null
    const before = new Map(Object.entries(state.numbers))
    if (state.numbering === 'at-the-end') return before
    return platesAsWeighed({ pieces: JSON.parse(given) as PlatePiece[], plate: state.plate }, before)
  }, [state, given])
  const numbered = JSON.stringify(numbers ? Object.fromEntries(numbers) : {})
  useEffect(() => {
    // A number that was said stays said, also when the page is opened anew.
    setState((before) => {
      if (!before || JSON.stringify(before.numbers) === numbered) return before
      const next = { ...before, numbers: JSON.parse(numbered) as KeptPlates['numbers'] }
      writeSetting(key, JSON.stringify(next))
      return next
    })
  }, [numbered, key])
  if (!usual) return null
  const numberOf = (id: string) => {
    const number = numbers?.get(id)
    return number === undefined ? null : number + 1
  }
  const lastMine = mine.findLast((each) => each.isMine)
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
