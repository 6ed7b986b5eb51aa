import type { Offer } from '@fleam/core/fabrication'
import { maybeQuantity, maybeWhole, quantity, ref, words } from './columns.ts'

/** What every table of offers has. */
export interface OfferColumns {
  name: string
  pileId: string
  priceAmount: number
  pricePer: Offer['price']['per']
  pieces: number | null
  pieceWeight: number
  usableShare: number | null
  handlingMinutesPerPiece: number | null
  ratePerHour: number | null
  extras: number | null
}

export const offerColumns = () => ({
  name: words(),
  pileId: ref(),
  priceAmount: quantity(),
  pricePer: words(8),
  pieces: maybeWhole(),
  pieceWeight: quantity(),
  usableShare: maybeQuantity(),
  handlingMinutesPerPiece: maybeQuantity(),
  ratePerHour: maybeQuantity(),
  extras: maybeQuantity(),
})
