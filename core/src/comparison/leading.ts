import type { PileResult } from '../costing/index.ts'
import type { Comparison } from './results.ts'

/**
 * Which comparison speaks for the whole: the cheapest offer for the primary pile that carries most of
 * the cost among those that have an offer. Returns its place, or null where there is none.
 */
export function leadingComparison(piles: readonly PileResult[], comparisons: readonly Comparison[]): number | null {
  const costOf = (comparison: Comparison) => piles.find((pile) => pile.name === comparison.pile)?.cost ?? 0
  const priceOf = (comparison: Comparison) => comparison.buyPerPortionSameWeight ?? Number.POSITIVE_INFINITY
  let leading: number | null = null
  comparisons.forEach((comparison, index) => {
    const best = leading === null ? undefined : comparisons[leading]
    if (
      !best ||
      costOf(comparison) > costOf(best) ||
      (comparison.pile === best.pile && priceOf(comparison) < priceOf(best))
    )
      leading = index
  })
  return leading
}
