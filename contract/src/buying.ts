import type { BuyingForm, FormPile, Quote } from '@fleam/core/buying'
import { fabricationDocument, PILE_CLASSES, price } from '@fleam/core/fabrication'
import type { Estimate } from '@fleam/core/forecasting'
import { article, articlePrice, priceFields, productName, sizeFields } from '@fleam/core/price-lists'
import {
  count,
  day,
  grams,
  id,
  instant,
  money,
  name,
  notes,
  positiveCount,
  positiveGrams,
  share,
  signedMoney,
  weekday,
} from '@fleam/core/values'
import { z } from 'zod'

/** A supplier with its terms. */
export const supplier = z
  .strictObject({
    id,
    name,
    delivery: money.default(0),
    minimumOrder: money.nullable().default(null),
    /** Days of the week on which it comes, 1 for Monday to 7; null where nobody said. */
    deliveryDays: z.array(weekday).max(7).nullable().default(null),
    /** Where claims go, as it stands on a letter. */
    address: notes.nullable().default(null),
  })
  .meta({ id: 'Supplier' })
export const suppliers = z.array(supplier)
export type Supplier = z.infer<typeof supplier>

/** A price that was struck out, with when, by whom and why. */
const struckPrice = articlePrice.extend({
  struckAt: instant,
  struckBy: z.enum(['bench', 'office']),
  struckWhy: z.string(),
})
export type StruckPrice = z.infer<typeof struckPrice>

/** Strikes a price out, and says why; `replacement` is what stands in its place, null for nothing. */
export const priceCorrection = z
  .strictObject({
    why: z.string().trim().min(1, 'must say why').max(200),
    replacement: z
      .strictObject({
        price,
        ...sizeFields,
        delivery: money.nullable(),
        minimumOrder: money.nullable(),
        from: day,
        until: day.nullable(),
      })
      .refine(({ from, until }) => until === null || until >= from, {
        path: ['until'],
        error: 'must not be before from',
      })
      .nullable(),
  })
  .meta({ id: 'PriceCorrection' })
export type PriceCorrection = z.infer<typeof priceCorrection>

/** A price that is added by hand, of an article that is tied by ids. */
export const priceAdded = z
  .strictObject({ ...priceFields, supplierId: id, itemId: id.nullable(), productId: id.nullable() })
  .meta({ id: 'PriceAdded' })
export type PriceAdded = z.infer<typeof priceAdded>

export const articleRow = z
  .object({ article, current: articlePrice.nullable(), prices: count })
  .meta({ id: 'ArticleRow' })
export const articleRows = z.object({ rows: z.array(articleRow), total: count })
export type ArticleRows = z.infer<typeof articleRows>

export const articleHistory = z
  .object({
    article,
    prices: z.array(articlePrice),
    /** Prices that were struck out: they count nowhere. */
    struck: z.array(struckPrice),
    /** The latest records that rest on it. */
    records: z.array(z.object({ id, document: fabricationDocument })),
  })
  .meta({ id: 'ArticleHistory' })
export type ArticleHistory = z.infer<typeof articleHistory>

const estimate = z.object({
  basis: z.enum(['own', 'blended', 'assumed']),
  tests: count,
  value: z.number(),
  halfWidth: z.number(),
}) satisfies z.ZodType<Estimate>

const quote = z.object({
  price,
  pieceWeight: grams.nullable(),
  packPieces: positiveCount.nullable(),
  packWeight: grams.nullable(),
  delivery: money,
  minimumOrder: money.nullable(),
}) satisfies z.ZodType<Quote>

const formPile = z.object({
  name,
  class: z.enum(PILE_CLASSES),
  share: estimate,
  target: grams.nullable(),
  portions: z.object({ perUnit: z.number().positive(), low: grams, high: grams }).nullable(),
  keeping: z.object({ chilledDays: count, frozenMonths: count.nullable() }).nullable(),
  valuePerKg: signedMoney.nullable(),
  assumedValue: z
    .object({ perKg: signedMoney, from: z.enum(['price-book', 'same-product', 'same-kind']) })
    .nullable()
    .optional(),
  usedShare: share.nullable(),
  processingPerKg: money.nullable(),
}) satisfies z.ZodType<FormPile>

const anyForm = { id: z.string(), articleId: id, supplierId: id, supplier: name, article: name, quote, since: day }

/** One way to come by a product, with what the kitchen expects of it. */
const buyingForm: z.ZodType<BuyingForm> = z
  .discriminatedUnion('kind', [
    z.object({
      kind: z.literal('whole'),
      ...anyForm,
      item: name,
      styleId: id,
      style: name,
      unitWeight: grams,
      minutesPerUnit: estimate,
      consumablesPerUnit: money,
      piles: z.array(formPile),
    }),
    z.object({
      kind: z.literal('ready'),
      ...anyForm,
      usableShare: z.number(),
      handlingMinutesPerPiece: z.number(),
    }),
  ])
  .meta({ id: 'BuyingForm' })
export const buyingForms = z.array(buyingForm)

/** What a kitchen serves as one plate of a product. */
export const productPlate = z
  .discriminatedUnion('by', [
    z.strictObject({ by: z.literal('pieces'), count: z.number().min(0.1).max(100) }),
    z.strictObject({ by: z.literal('edible'), grams: positiveGrams.max(5_000) }),
  ])
  .meta({ id: 'ProductPlate' })
/** What is sent to say it; null says that nobody has. */
export const plateEdit = z.strictObject({ plate: productPlate.nullable() })

/** What can be compared: every product that a style gives, with how many forms have a price today. */
export const products = z.array(
  z.object({
    id,
    name: productName,
    pile: name,
    plateWeight: grams.nullable(),
    plate: productPlate.nullable(),
    forms: count,
  }),
)
export type Product = z.infer<typeof products>[number]

/** Prices of today that are not those of a record any more. */
export const movedPrices = z
  .array(
    z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('purchase'), price, extras: money.nullable(), since: day }),
      z.object({ kind: z.literal('offer'), offer: name, price, since: day }),
    ]),
  )
  .meta({ id: 'MovedPrices' })

/** A verdict that new prices have turned. */
export const turnedRow = z.object({ id, document: fabricationDocument, changes: movedPrices })
export type TurnedRow = z.infer<typeof turnedRow>
export const turnedRows = z.array(turnedRow)
