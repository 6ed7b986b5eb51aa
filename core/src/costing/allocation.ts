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
  requested: Allocation,
): AllocationResult {
  const isUsable = requested === 'weight' || canUse(requested, piles, portions)
  const allocation = isUsable ? requested : 'weight'
  // Loops over one list: this is worked out at every weighing and keystroke, and lists in between cost a tenth of it.
  const shares: (number | null)[] = []
  let sum = 0
  let primaries = 0
  for (let at = 0; at < piles.length; at++) {
    const pile = piles[at] as Pile
    const isPrimary = pile.class === 'primary'
    const basis = isPrimary ? basisOf(allocation, pile, pileWeights[at] as number, portions[at] ?? 0) : null
    shares.push(basis)
    sum += basis ?? 0
    if (isPrimary) primaries++
  }
  for (let at = 0; at < shares.length; at++) {
    const basis = shares[at] ?? null
    shares[at] = basis !== null && sum > 0 ? basis / sum : null
  }
  return { allocation, shares, fellBack: !isUsable && primaries > 1 }
}

/** What a primary pile brings to the rule: its weight, its market value, or its portions. */
function basisOf(rule: Allocation, pile: Pile, weight: number, portions: number): number {
  if (rule === 'weight') return weight
  return rule === 'value' ? weight * (pile.valuePerKg ?? 0) : portions
}

/** By value needs a value of every primary; by portion needs a portion at all. */
function canUse(rule: 'value' | 'portion', piles: readonly Pile[], portions: readonly (number | null)[]): boolean {
  if (rule === 'portion') return portions.some((count) => count !== null && count > 0)
  return piles.every((pile) => pile.class !== 'primary' || (pile.valuePerKg ?? 0) > 0)
}
