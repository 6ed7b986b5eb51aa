import { PRICE_UNITS } from '@fleam/core/fabrication'
import { z } from 'zod'

const maybeNumber = z.number({ error: 'Check this number, or leave it empty.' }).nullable()

/** A price as it is typed; what nobody says of it is null. */
export const priceFields = z.object({
  supplier: z.string().trim().min(1, 'Who sells it?').max(120, 'At most 120 letters.'),
  code: z.string().max(120, 'At most 120 letters.'),
  name: z.string().trim().min(1, 'What is it called?').max(120, 'At most 120 letters.'),
  kind: z.enum(['whole', 'ready']),
  itemId: z.string().nullable(),
  productId: z.string().nullable(),
  amount: z.number({ error: 'What does it cost?' }),
  per: z.enum(PRICE_UNITS),
  pieceWeight: maybeNumber,
  packPieces: maybeNumber,
  usableShare: maybeNumber,
  handlingMinutesPerPiece: maybeNumber,
  from: z.string().min(1, 'From which day on?'),
})
export type PriceFilled = z.infer<typeof priceFields>
export type PriceFields = Omit<PriceFilled, 'amount'> & { amount: number | null }
