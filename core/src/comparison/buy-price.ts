import { MINUTES_PER_HOUR, pricedUnits } from '../costing/index.ts'
import type { Offer } from '../fabrication/index.ts'

/** What one piece is of the unit that the offer's price counts: so many kilos, pounds, pieces, or a part of a case. */
export function unitsPerPiece({ price, pieceWeight, pieces = 1 }: Offer): number {
  return pricedUnits(price.per, { weight: pieceWeight, pieces: 1, packs: 1 / pieces })
}

/** The offer's charges, spread over its pieces. */
export function extrasPerPiece(offer: Offer): number {
  return (offer.extras ?? 0) / (offer.pieces ?? 1)
}

export function pricePerPiece(offer: Offer): number {
  return offer.price.amount * unitsPerPiece(offer) + extrasPerPiece(offer)
}

/** Wages to unpack, check and trim one bought piece. */
export function handlingPerPiece(offer: Offer): number {
  return ((offer.handlingMinutesPerPiece ?? 0) / MINUTES_PER_HOUR) * (offer.ratePerHour ?? 0)
}

/** Price of one portion that can be served: rejects are paid for and handled too. */
export function buyPerPortion(offer: Offer): number {
  return (pricePerPiece(offer) + handlingPerPiece(offer)) / (offer.usableShare ?? 1)
}
