import { purchasedUnits } from '../costing/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { Appraisal } from './appraisal.ts'
import { appraise } from './appraise.ts'

export interface RepricedPile {
  name: string
  /** Today's cost factor times the new price: quick, but it moves labour and credit with the price. */
  byFactor: number | null
  /** Everything summed again at the new price; labour and credit stay. */
  inFull: number | null
  difference: number | null
}

/** The same purchase at another price per kilo of AP, charges included in it. */
export function atApPrice(document: FabricationDocument, apPricePerKg: number): FabricationDocument {
  const { purchase } = document
  const extras = purchase.extras ?? 0
  const cost = (apPricePerKg * purchase.invoiceWeight) / GRAMS_PER_KILOGRAM
  const units = purchasedUnits(purchase)
  const amount = units > 0 ? (cost - extras) / units : 0
  return { ...document, purchase: { ...purchase, price: { ...purchase.price, amount } } }
}

/** Cost per portion of each primary pile at a new AP price per kilo (charges in), both ways, with the difference. */
export function reprice(document: FabricationDocument, appraisal: Appraisal, apPricePerKg: number): RepricedPile[] {
  const full = appraise(atApPrice(document, apPricePerKg))
  return appraisal.piles.flatMap((pile, index) => {
    if (pile.class !== 'primary') return []
    const byFactor = pile.factorPerPortion === null ? null : pile.factorPerPortion * apPricePerKg
    const inFull = full.piles[index]?.costPerPortion ?? null
    const difference = byFactor === null || inFull === null ? null : byFactor - inFull
    return [{ name: pile.name, byFactor, inFull, difference }]
  })
}
