import { type CreditPolicy, type Pile, usedShareOf } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'

/**
 * What a pile that is not primary gives back, money, by policy:
 * `none` nothing; `book` its whole weight at its value; `used` only the share really used;
 * `net` that share less the cost of processing it, which may be negative.
 * Waste's haulage (zero or less) counts in full under all but `none`. Zero for primary piles.
 */
export function creditOf(pile: Pile, weight: number, policy: CreditPolicy): number {
  if (policy === 'none' || pile.class === 'primary') return 0
  const kilos = weight / GRAMS_PER_KILOGRAM
  const value = pile.valuePerKg ?? 0
  if (policy === 'book' || pile.class === 'waste') return kilos * value
  const used = kilos * usedShareOf(pile)
  return policy === 'used' ? used * value : used * (value - (pile.processingPerKg ?? 0))
}

/** The sum of all credits under each policy, in one pass over the piles: `creditOf` written out, as it is asked at every keystroke. */
export function creditByPolicy(piles: readonly Pile[], pileWeights: readonly number[]): Record<CreditPolicy, number> {
  let book = 0
  let used = 0
  let net = 0
  for (let at = 0; at < piles.length; at++) {
    const pile = piles[at] as Pile
    if (pile.class === 'primary') continue
    const kilos = (pileWeights[at] as number) / GRAMS_PER_KILOGRAM
    const value = pile.valuePerKg ?? 0
    const usedKilos = pile.class === 'waste' ? kilos : kilos * usedShareOf(pile)
    book += kilos * value
    used += usedKilos * value
    net += usedKilos * (pile.class === 'waste' ? value : value - (pile.processingPerKg ?? 0))
  }
  return { none: 0, book, used, net }
}
