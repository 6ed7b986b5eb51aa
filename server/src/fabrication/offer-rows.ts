import type { Offer } from '@fleam/core'
import { number, presentNumbers, type Row, type SqlParameters, text } from '../database/rows.ts'

const OPTIONAL = {
  pieces: 'pieces',
  usableShare: 'usable_share',
  handlingMinutesPerPiece: 'handling_minutes_per_piece',
  ratePerHour: 'rate_per_hour',
  extras: 'extras',
} as const

/** An offer from the columns that every table of offers has. */
export const offerFromRow = (row: Row): Offer => ({
  name: text(row.name),
  pile: text(row.pile),
  price: { amount: number(row.price_amount), per: row.price_per as Offer['price']['per'] },
  pieceWeight: number(row.piece_weight),
  ...presentNumbers(row, OPTIONAL),
})

export const offerToRow = (offer: Offer): SqlParameters => ({
  name: offer.name,
  pile: offer.pile,
  price_amount: offer.price.amount,
  price_per: offer.price.per,
  pieces: offer.pieces ?? null,
  piece_weight: offer.pieceWeight,
  usable_share: offer.usableShare ?? null,
  handling_minutes_per_piece: offer.handlingMinutesPerPiece ?? null,
  rate_per_hour: offer.ratePerHour ?? null,
  extras: offer.extras ?? null,
})
