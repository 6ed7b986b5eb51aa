import type { PlannedOffer } from '@fleam/core/fabrication'
import type { OfferColumns } from '../database/index.ts'

/** Only the fields that are set: what is null in the table is absent in the document. */
export function present<T extends object>(fields: T): { [K in keyof T]?: NonNullable<T[K]> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== null)) as never
}

/** An offer from the columns that every table of offers has. */
export const offerOfRow = (row: OfferColumns): PlannedOffer => ({
  name: row.name,
  pileId: row.pileId,
  price: { amount: row.priceAmount, per: row.pricePer },
  pieceWeight: row.pieceWeight,
  ...present({
    pieces: row.pieces,
    usableShare: row.usableShare,
    handlingMinutesPerPiece: row.handlingMinutesPerPiece,
    ratePerHour: row.ratePerHour,
    extras: row.extras,
  }),
})

export const rowOfOffer = (offer: PlannedOffer): OfferColumns => ({
  name: offer.name,
  pileId: offer.pileId,
  priceAmount: offer.price.amount,
  pricePer: offer.price.per,
  pieces: offer.pieces ?? null,
  pieceWeight: offer.pieceWeight,
  usableShare: offer.usableShare ?? null,
  handlingMinutesPerPiece: offer.handlingMinutesPerPiece ?? null,
  ratePerHour: offer.ratePerHour ?? null,
  extras: offer.extras ?? null,
})
