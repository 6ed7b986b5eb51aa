import { momentsOf } from '../statistics/index.ts'
import { groupBy } from './group-by.ts'

/** One record on either side of a change. */
export interface Attributed {
  /** Ids or written names. */
  cook: string | null
  supplier: string | null
  value: number
}

/** Whose a change is: one member alone, while others hold theirs; or all of them alike, so that it is none of them. */
export interface Attribution {
  of: 'cook' | 'supplier'
  kind: 'one' | 'all'
  /** Who moved, and who holds what they had. */
  moved: string[]
  held: string[]
}

/** One alone is told from no single record; that all moved is told from one of each. */
const MIN_ALONE = 2
/** Of the whole difference: so much and more is the change, so little and less is none. */
const MOVED = 0.5
const HELD = 1 / 3

/**
 * Whom a change of a style is to be put down to: a supplier or a cook who alone moved, or new ones who alone are
 * otherwise; or that all of them moved alike. Null where records do not tell, by cook and by supplier.
 */
export function attributionsOf(
  recent: readonly Attributed[],
  before: readonly Attributed[],
  difference: number,
): Attribution[] {
  return (['supplier', 'cook'] as const).flatMap((of) => attributionOf(recent, before, difference, of) ?? [])
}

const meanOf = (records: readonly Attributed[]) => momentsOf(records.map(({ value }) => value)).mean

function attributionOf(
  recent: readonly Attributed[],
  before: readonly Attributed[],
  difference: number,
  of: Attribution['of'],
): Attribution | null {
  const known = (records: readonly Attributed[]) => records.filter((record) => record[of] !== null)
  const earlier = groupBy(known(before), (record) => record[of] as string)
  const moved = new Map<string, number>()
  const held = new Map<string, number>()
  for (const [key, recordsOfKey] of groupBy(known(recent), (record) => record[of] as string)) {
    const mine = earlier.get(key) ?? []
    if (mine.length === 1) continue
    // Somebody new is held against what everybody had.
    const off = (meanOf(recordsOfKey) - meanOf(mine.length > 0 ? mine : before)) / difference
    if (off >= MOVED) moved.set(key, recordsOfKey.length)
    else if (Math.abs(off) <= HELD) held.set(key, recordsOfKey.length)
  }
  const who = { of, moved: [...moved.keys()], held: [...held.keys()] }
  const isTold = (counts: ReadonlyMap<string, number>) => [...counts.values()].some((count) => count >= MIN_ALONE)
  if (moved.size === 1 && isTold(moved) && isTold(held)) return { ...who, kind: 'one' }
  if (moved.size > 1 && held.size === 0) return { ...who, kind: 'all' }
  return null
}
