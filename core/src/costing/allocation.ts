import type { Allocation, Pile } from '../fabrication/index.ts'

export interface AllocationResult {
  /** The rule that was really used. */
  allocation: Allocation
  /** Share of the net cost that each pile carries, in the document's order; they add to 1. Null: not primary, or nothing to go by. */
  shares: (number | null)[]
  /** The rule asked for could not be used, and with two or more primaries that matters. */
  fellBack: boolean
}

/**
 * Spreads the net cost over the primary piles: by `weight`, by `value` (weight × value per kilo),
 * or by `portion` count. `value` falls back to `weight` where any primary has no value, `portion`
 * where no pile has a portion. While nothing primary has been weighed there is nothing to go by.
 */
export function allocate(
  piles: readonly Pile[],
  pileWeights: readonly number[],
  portions: readonly (number | null)[],
  wished: Allocation,
): AllocationResult {
  const primaries = piles.filter((pile) => pile.class === 'primary')
  const basisOf = (rule: Allocation, at: number): number => {
    const weight = pileWeights[at] as number
    if (rule === 'weight') return weight
    return rule === 'value' ? weight * (piles[at]?.valuePerKg ?? 0) : (portions[at] ?? 0)
  }
  const total = (rule: Allocation) =>
    piles.reduce((sum, pile, at) => (pile.class === 'primary' ? sum + basisOf(rule, at) : sum), 0)
  const isUsable =
    wished === 'weight' ||
    (wished === 'value' ? primaries.every((pile) => (pile.valuePerKg ?? 0) > 0) : total('portion') > 0)
  const allocation = isUsable ? wished : 'weight'
  const sum = total(allocation)
  return {
    allocation,
    shares: piles.map((pile, at) => (pile.class === 'primary' && sum > 0 ? basisOf(allocation, at) / sum : null)),
    fellBack: !isUsable && primaries.length > 1,
  }
}
