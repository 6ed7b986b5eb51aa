import type { Balance } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND } from '../units/index.ts'

/** A closed record as far as it can be doubted. */
export interface DoubtRecord {
  id: string
  day: string
  /** Ids or written names. */
  item: string
  style: string
  cook: string | null
  /** Grams. */
  ap: number
  portionYield: number
  minutesPerUnit: number | null
  /** What was paid for a kilo; null where it was not paid by weight. */
  pricePerKg: number | null
  balance: Balance
  /** Somebody has looked at the balance and stands by it. */
  isSettled: boolean
}

export type Doubt =
  /** More came out than went in, or a pile is missing. Grams for a kilo that came. */
  | { kind: 'balance'; id: string; balance: 'over' | 'lost' }
  /** The same item, day, weight and cook as another. */
  | { kind: 'double'; id: string; of: string }
  /** Less than a quarter of the usual minutes. */
  | { kind: 'minutes'; id: string; minutes: number; usual: number }
  /** A price as if it were for another unit, or a digit off. */
  | { kind: 'price'; id: string; price: number; usual: number; factor: number }
  /** A yield far from all others of its item and style. */
  | { kind: 'yield'; id: string; portionYield: number; usual: number }

/** What a wrong unit or a slipped digit makes of a price. */
const FACTORS = [10, 0.1, GRAMS_PER_KILOGRAM / GRAMS_PER_POUND, GRAMS_PER_POUND / GRAMS_PER_KILOGRAM, 1000, 0.001]
/** So near to a factor a price is taken for it. */
const NEAR_FACTOR = 0.08
const MIN_MINUTES = 8
const QUARTER = 0.25
const MIN_YIELDS = 12
/** Robust standard deviations; and a share of AP, below which nobody would look. */
const FAR = 6
const FAR_SHARE = 0.01
/** From the median distance to a standard deviation, where values spread as a bell. */
const MAD_TO_SD = 1.4826
const MIN_PRICES = 4

/**
 * Records that cannot be right, each with its reason, in the order of the records. Nothing is changed by it. A record
 * that somebody has settled is not doubted for its balance.
 */
export function doubtsOf(records: readonly DoubtRecord[]): Doubt[] {
  const byStyle = groupBy(records, ({ item, style }) => JSON.stringify([item, style]))
  const byItem = groupBy(records, ({ item }) => item)
  const doubts = new Map<string, Doubt[]>(records.map(({ id }) => [id, []]))
  const add = (doubt: Doubt) => doubts.get(doubt.id)?.push(doubt)
  for (const { id, balance, isSettled } of records) {
    if (balance !== 'ok' && !isSettled) add({ kind: 'balance', id, balance })
  }
  doubles(records).forEach(add)
  for (const own of byStyle.values()) {
    minutesOff(own).forEach(add)
    yieldsOff(own).forEach(add)
  }
  for (const own of byItem.values()) pricesOff(own).forEach(add)
  return records.flatMap(({ id }) => doubts.get(id) ?? [])
}

function groupBy<T>(list: readonly T[], keyOf: (each: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>()
  for (const each of list) {
    const group = groups.get(keyOf(each))
    if (group) group.push(each)
    else groups.set(keyOf(each), [each])
  }
  return groups
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  const high = sorted[middle] as number
  return sorted.length % 2 === 1 ? high : ((sorted[middle - 1] as number) + high) / 2
}

/** The later of two alike is the one that is doubted. */
function doubles(records: readonly DoubtRecord[]): Doubt[] {
  const alike = groupBy(
    records.filter(({ cook }) => cook !== null),
    ({ item, day, ap, cook }) => JSON.stringify([item, day, ap, cook]),
  )
  return [...alike.values()].flatMap(([first, ...others]) =>
    others.map(({ id }): Doubt => ({ kind: 'double', id, of: (first as DoubtRecord).id })),
  )
}

function minutesOff(records: readonly DoubtRecord[]): Doubt[] {
  const timed = records.flatMap(({ id, minutesPerUnit }) => (minutesPerUnit === null ? [] : [{ id, minutesPerUnit }]))
  if (timed.length < MIN_MINUTES) return []
  const usual = median(timed.map(({ minutesPerUnit }) => minutesPerUnit))
  return timed.flatMap(({ id, minutesPerUnit }): Doubt[] =>
    minutesPerUnit < usual * QUARTER ? [{ kind: 'minutes', id, minutes: minutesPerUnit, usual }] : [],
  )
}

function pricesOff(records: readonly DoubtRecord[]): Doubt[] {
  const priced = records.flatMap(({ id, pricePerKg }) =>
    pricePerKg === null || pricePerKg <= 0 ? [] : [{ id, pricePerKg }],
  )
  if (priced.length < MIN_PRICES) return []
  const usual = median(priced.map(({ pricePerKg }) => pricePerKg))
  return priced.flatMap(({ id, pricePerKg }): Doubt[] => {
    const ratio = pricePerKg / usual
    const factor = FACTORS.find((each) => Math.abs(ratio / each - 1) <= NEAR_FACTOR)
    return factor === undefined ? [] : [{ kind: 'price', id, price: pricePerKg, usual, factor }]
  })
}

/** Of a record whose weights do not add up that is said already. */
function yieldsOff(records: readonly DoubtRecord[]): Doubt[] {
  const sound = records.filter(({ balance }) => balance === 'ok')
  if (sound.length < MIN_YIELDS) return []
  const usual = median(sound.map(({ portionYield }) => portionYield))
  const sd = MAD_TO_SD * median(sound.map(({ portionYield }) => Math.abs(portionYield - usual)))
  return sound.flatMap(({ id, portionYield }): Doubt[] => {
    const off = Math.abs(portionYield - usual)
    return off > FAR * sd && off > FAR_SHARE ? [{ kind: 'yield', id, portionYield, usual }] : []
  })
}
