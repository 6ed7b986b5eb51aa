import { buyingForm, productPlate } from '@fleam/core/buying'
import { fabricationDocument, price } from '@fleam/core/fabrication'
import { article, articlePrice, priceFields, productName } from '@fleam/core/price-lists'
import { count, day, grams, id, instant, money, name, notes, weekday } from '@fleam/core/values'
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
    replacement: articlePrice
      .omit({ id: true, source: true, recordedAt: true })
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

export const buyingForms = z.array(buyingForm)

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
