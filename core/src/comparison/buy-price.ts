import { MINUTES_PER_HOUR, pricedUnits } from '../costing/index.ts'
import type { Offer } from '../fabrication/index.ts'

/** What one piece is of the unit that the offer's price counts: so many kilos, pounds, pieces, or a part of a case. */
export function unitsPerPiece({ price, pieceWeight, pieces = 1 }: Offer): number {
  return pricedUnits(price.per, { weight: pieceWeight, pieces: 1, packs: 1 / pieces })
}

/** Pieces of an order: the whole cases that as many plates as were made take, at least one case. */
export function orderedPieces({ pieces = 1 }: Pick<Offer, 'pieces'>, portions: number | null): number {
  return pieces * Math.max(1, Math.ceil((portions ?? 0) / pieces))
}

/** The charges of an order, spread over its pieces: they come once an order, however many pieces it has. */
export function extrasPerPiece(offer: Offer, portions: number | null): number {
  return (offer.extras ?? 0) / orderedPieces(offer, portions)
}

/** Price of one bought piece with its part of the charges, money. `portions` are the plates that were made. */
export function pricePerPiece(offer: Offer, portions: number | null): number {
  return offer.price.amount * unitsPerPiece(offer) + extrasPerPiece(offer, portions)
}

/** Wages to unpack, check and trim one bought piece. */
export function handlingPerPiece(offer: Offer): number {
  return ((offer.handlingMinutesPerPiece ?? 0) / MINUTES_PER_HOUR) * (offer.ratePerHour ?? 0)
}

/** Price of one portion that can be served: rejects are paid for and handled too. `portions` are the plates made. */
export function buyPerPortion(offer: Offer, portions: number | null): number {
  return (pricePerPiece(offer, portions) + handlingPerPiece(offer)) / (offer.usableShare ?? 1)
}
