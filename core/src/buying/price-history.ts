import type { Day } from '../calendar/index.ts'

/** A span of days in which a price holds; `until` is its last day, null for "until the next one". */
export interface PriceSpan {
  from: Day
  until: Day | null
}

/** A day later than any price. */
const NEVER_ENDS = '9999-12-31'

/**
 * The price that holds on a day: of those that have begun and not ended, the one that began last; of
 * several that began on one day the last in the list. Null where none holds.
 */
export function priceOn<T extends PriceSpan>(prices: readonly T[], day: Day): T | null {
  let holding: T | null = null
  for (const price of prices) {
    const holds = price.from <= day && day <= (price.until ?? NEVER_ENDS)
    if (holds && (holding === null || price.from >= holding.from)) holding = price
  }
  return holding
}

/**
 * True where two prices of one article contradict each other: both begin on the same day, or one with an
 * end begins inside another that says its own end. An open price simply ends when the next one begins.
 */
export function overlaps(a: PriceSpan, b: PriceSpan): boolean {
  if (a.from === b.from) return true
  const [first, second] = a.from < b.from ? [a, b] : [b, a]
  return first.until !== null && first.until >= second.from
}

export interface PricePoint {
  day: Day
  amount: number
}

/** A price history as points of a stepped line up to a day, each where a price begins; a gap has no point. */
export function priceLine<T extends PriceSpan & { amount: number }>(prices: readonly T[], until: Day): PricePoint[] {
  const days = [...new Set(prices.map((price) => price.from).filter((day) => day <= until))].sort()
  const points = days.flatMap((day) => {
    const price = priceOn(prices, day)
    return price ? [{ day, amount: price.amount }] : []
  })
  const last = priceOn(prices, until)
  return last && points.at(-1)?.day !== until ? [...points, { day: until, amount: last.amount }] : points
}
