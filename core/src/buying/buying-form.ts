import { z } from 'zod'
import { PILE_CLASSES, price } from '../fabrication/index.ts'
import { estimate } from '../forecasting/index.ts'
import {
  count,
  day,
  type FixedLists,
  grams,
  id,
  money,
  name,
  positiveCount,
  share,
  signedMoney,
} from '../values/index.ts'

/** What a supplier asks for an article, as it was quoted. */
const quote = z.object({
  price,
  /** Grams of one piece as purchased; null where nobody says. */
  pieceWeight: grams.nullable(),
  /** Pieces in one case or lot; null where it is not packed. */
  packPieces: positiveCount.nullable(),
  /** Grams of one case or lot; null where only its pieces are known. */
  packWeight: grams.nullable(),
  /** Charge for one delivery. */
  delivery: money,
  /** Least money of an order; null for none. */
  minimumOrder: money.nullable(),
})
export type Quote = z.infer<typeof quote>

/** How long something keeps: days in the cold, the day it is cut counted; months frozen, null where it is not frozen. */
const keeping = z.object({ chilledDays: count, frozenMonths: count.nullable() })
export type Keeping = z.infer<typeof keeping>

/** A value of a kilo that nobody said: from what it costs bought ready, or from the same product or like piles of other styles. */
const assumedValue = z.object({ perKg: signedMoney, from: z.enum(['price-book', 'same-product', 'same-kind']) })
export type AssumedValue = z.infer<typeof assumedValue>

/** A pile that comes with the product, as one unit of the whole thing gives it. */
const formPile = z.object({
  name,
  class: z.enum(PILE_CLASSES),
  /** Share of AP to expect. */
  share: estimate,
  /** Grams of one portion of a primary pile; null where it is not portioned. */
  target: grams.nullable(),
  /** Pieces that one unit gives, and the bounds of one; null where it is not told piece by piece. */
  portions: z.object({ perUnit: z.number().positive(), low: grams, high: grams }).nullable(),
  /** How long it keeps; null for what is not kept. */
  keeping: keeping.nullable(),
  valuePerKg: signedMoney.nullable(),
  /** What it is likely worth where nobody said, and how that is known; null or absent where nothing tells. */
  assumedValue: assumedValue.nullable().optional(),
  usedShare: share.nullable(),
  processingPerKg: money.nullable(),
})
export type FormPile = z.infer<typeof formPile>

const anyForm = {
  /** Unique among the forms that are compared. */
  id: z.string(),
  articleId: id,
  supplierId: id,
  supplier: name,
  /** What the supplier calls it. */
  article: name,
  quote,
  /** Day from which the price holds. */
  since: day,
}

/** Something whole that is cut here: a bird, a fish, a loin, a rack, in one cut style. */
const wholeForm = z.object({
  kind: z.literal('whole'),
  ...anyForm,
  item: name,
  styleId: id,
  style: name,
  /** Grams of one unit as purchased, where the quote does not say. */
  unitWeight: grams,
  minutesPerUnit: estimate,
  /** Consumables for one unit. */
  consumablesPerUnit: money,
  piles: z.array(formPile),
})
export type WholeForm = FixedLists<z.infer<typeof wholeForm>>

/** Pieces bought ready, to be served as they are. */
const readyForm = z.object({
  kind: z.literal('ready'),
  ...anyForm,
  /** Share of the pieces that can be served, above 0 and up to 1. */
  usableShare: z.number(),
  handlingMinutesPerPiece: z.number(),
})
export type ReadyForm = z.infer<typeof readyForm>

/** One way to come by a product, with what the kitchen expects of it. */
export const buyingForm: z.ZodType<BuyingForm> = z
  .discriminatedUnion('kind', [wholeForm, readyForm])
  .meta({ id: 'BuyingForm' })
export type BuyingForm = WholeForm | ReadyForm
