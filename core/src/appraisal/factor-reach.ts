import type { FabricationDocument } from '../fabrication/index.ts'
import type { Appraisal } from './appraisal.ts'
import { appraise } from './appraise.ts'
import { atApPrice } from './reprice.ts'

export interface FactorReach {
  pile: string
  /** Cost of a portion ÷ AP price per kilo, as on the card. */
  factorPerPortion: number
  /** In full a portion costs `fixed + perPrice × AP price per kilo`. */
  fixed: number
  perPrice: number
  /** AP prices per kilo between which the factor is near enough; `to` null where there is no upper end. */
  from: number
  to: number | null
}

/** A card on the wall may be so far off before it misleads. */
export const NEAR_ENOUGH = 0.02

/**
 * Until which AP price a cost factor stays within 2 % of the full sum, for each primary pile. In full a
 * portion costs `a + b × price`: labour and by-products are in `a`, which the factor moves with the price
 * though they stay. Both ends are in closed form.
 */
export function factorReach(document: FabricationDocument, appraisal: Appraisal): FactorReach[] {
  const free = appraise(atApPrice(document, 0))
  const now = appraisal.cost.apPricePerKg
  return appraisal.piles.flatMap((pile, index) => {
    const a = free.piles[index]?.costPerPortion ?? null
    if (pile.factorPerPortion === null || pile.costPerPortion === null || a === null || now <= 0) return []
    const b = (pile.costPerPortion - a) / now
    // |f × p − (a + b × p)| ≤ 2 % × (a + b × p), with f × now = a + b × now.
    const f = pile.factorPerPortion
    const ends = [1 + NEAR_ENOUGH, 1 - NEAR_ENOUGH].map((near) => {
      const slope = f - near * b
      return slope === 0 ? null : (near * a) / slope
    })
    const positive = ends
      .filter((end) => end !== null && end > 0)
      .sort((x, y) => (x as number) - (y as number)) as number[]
    const below = positive.filter((end) => end <= now).at(-1) ?? 0
    const above = positive.find((end) => end > now) ?? null
    return [{ pile: pile.name, factorPerPortion: f, fixed: a, perPrice: b, from: below, to: above }]
  })
}
