import type { Price, Purchase } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { purchasedUnits } from './cost-in.ts'

/** The price of a purchase as its invoice has it, without the charges beside it. */
export interface InvoicePrice {
  /** In the unit in which it was bought. */
  price: Price
  /** Money a kilo where it was bought by weight; null where a piece, a case or a lot was priced. */
  perKg: number | null
}

/**
 * What the invoice says where a kilo of AP costs so much with all charges in it: charges are paid once a purchase,
 * whatever the goods cost. Null where no price of zero or more does it, or where the purchase counts nothing.
 */
export function invoicePrice(purchase: Purchase, apPricePerKg: number | null): InvoicePrice | null {
  if (apPricePerKg === null) return null
  const goods = (apPricePerKg * purchase.invoiceWeight) / GRAMS_PER_KILOGRAM - (purchase.extras ?? 0)
  const units = purchasedUnits(purchase)
  if (goods < 0 || units <= 0) return null
  const { per } = purchase.price
  const isByWeight = per === 'kg' || per === 'lb'
  return {
    price: { amount: goods / units, per },
    perKg: isByWeight ? (goods / purchase.invoiceWeight) * GRAMS_PER_KILOGRAM : null,
  }
}
