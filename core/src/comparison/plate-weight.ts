import { type PileResult, ratio, servedPieces } from '../costing/index.ts'
import type { Offer, Pile } from '../fabrication/index.ts'

/**
 * `t`, grams: what one plate really carries, as far as the plate asks for it. `Σ min(w, target) ÷ portions`
 * over the pieces served; `min(target, weight ÷ portions)` where the pile was weighed together; without a
 * target nothing is cut off. Null without portions, or where they weigh nothing.
 */
export function plateWeight(pile: Pile, { portions, weight }: Pick<PileResult, 'portions' | 'weight'>): number | null {
  const target = pile.target ?? Number.POSITIVE_INFINITY
  if (!pile.pieces) {
    const mean = ratio(weight, portions)
    return mean === null || mean === 0 ? null : Math.min(target, mean)
  }
  let carried = 0
  for (const piece of servedPieces(pile)) carried += Math.min(piece, target)
  return ratio(carried, portions) || null
}

/** Grams of a bought piece that a plate asks for: what it weighs over the target is given away too. */
export const servedOfBought = (offer: Pick<Offer, 'pieceWeight'>, target: number | null | undefined): number =>
  Math.min(offer.pieceWeight, target ?? Number.POSITIVE_INFINITY)

/** Share of AP that the plates really carry, `portions × t ÷ AP`: stands beside the yield at which a verdict turns. */
export function plateYield(portions: number | null, weight: number | null, ap: number): number | null {
  return portions === null || weight === null ? null : (portions * weight) / ap
}
