import type { Price, Purchase } from '../fabrication/index.ts'
import { deliveryClaim, type ReceivedCase } from './claim.ts'

/** A lot as far as cutting from it goes. */
export interface DrawnLot {
  cases: readonly ReceivedCase[]
  price: Price
  pieces: number | null
  extras: number | null
}

/**
 * What is left of a lot, as a purchase: its part of the invoice's weight, of what really came, of its
 * pieces, cases and charges. `usedWeight` is what fabrications have taken, by the invoice's weight, grams.
 * Null where nothing is left.
 */
export function purchaseFromLot(lot: DrawnLot, usedWeight: number): Purchase | null {
  const claim = deliveryClaim(lot.cases, lot.price)
  const invoiceWeight = claim.invoiceWeight - usedWeight
  if (invoiceWeight <= 0) return null
  const share = invoiceWeight / claim.invoiceWeight
  const pieces = lot.pieces === null ? null : Math.max(1, Math.round(lot.pieces * share))
  // One price for the lot is paid once: a part of the lot carries its part of it.
  const price = lot.price.per === 'lot' ? { ...lot.price, amount: lot.price.amount * share } : lot.price
  return {
    price,
    invoiceWeight,
    receivedWeight: claim.receivedWeight * share,
    cases: lot.cases.length * share,
    ...(pieces === null ? {} : { pieces }),
    ...(lot.extras === null ? {} : { extras: lot.extras * share }),
  }
}

/** So many units of what is left of a lot, as a purchase: their part of everything. Null where nothing is left. */
export function unitsFromLot(lot: DrawnLot, usedWeight: number, units: number): Purchase | null {
  const rest = purchaseFromLot(lot, usedWeight)
  if (!rest) return null
  const part = Math.min(1, units / (rest.pieces ?? units))
  const { price, receivedWeight, extras } = rest
  return {
    ...rest,
    price: price.per === 'lot' ? { ...price, amount: price.amount * part } : price,
    invoiceWeight: rest.invoiceWeight * part,
    ...(receivedWeight === undefined ? {} : { receivedWeight: receivedWeight * part }),
    ...(extras === undefined ? {} : { extras: extras * part }),
    cases: (rest.cases ?? 1) * part,
    pieces: units,
  }
}
