import type { Consumable, FabricationDocument, LabourEntry, Purchase } from '../fabrication/index.ts'
import { pricedUnits } from './priced-units.ts'
import type { CostIn } from './results.ts'

export const MINUTES_PER_HOUR = 60

/** What the price counts: kilos or pounds of AP, pieces, cases, or one lot. */
export function purchasedUnits({ price: { per }, invoiceWeight, pieces = 0, cases = 0 }: Purchase): number {
  return pricedUnits(per, { weight: invoiceWeight, pieces, packs: per === 'lot' ? 1 : cases })
}

/** Cost of what was purchased, charges included. */
export function apCost(purchase: Purchase): number {
  return purchase.price.amount * purchasedUnits(purchase) + (purchase.extras ?? 0)
}

/** What the missing weight would have cost, where the price is by weight; zero otherwise. `short` in grams. */
export function shortClaim({ price: { amount, per } }: Purchase, short: number): number {
  return amount * pricedUnits(per, { weight: short, pieces: 0, packs: 0 })
}

/** Money of labour: minutes at their rate an hour; zero without any. */
export function labourCost(labour: readonly LabourEntry[] = []): number {
  return labour.reduce((sum, entry) => sum + (entry.minutes / MINUTES_PER_HOUR) * entry.ratePerHour, 0)
}

/** Minutes of labour in all. */
export function labourMinutes(labour: readonly LabourEntry[] = []): number {
  return labour.reduce((sum, entry) => sum + entry.minutes, 0)
}

/** Money of consumables in all. */
export function consumablesCost(consumables: readonly Consumable[] = []): number {
  return consumables.reduce((sum, consumable) => sum + consumable.cost, 0)
}

/** Everything that was spent: purchase, labour, consumables. */
export function costIn(document: FabricationDocument): CostIn {
  const ap = apCost(document.purchase)
  const labour = labourCost(document.labour)
  const consumables = consumablesCost(document.consumables)
  return { ap, labour, consumables, in: ap + labour + consumables }
}
