import { day, id, name } from '@fleam/core/values'
import { z } from 'zod'

const figure = z.number()
const count = z.number().int()

/** From when to when; both days are counted. */
export const supplierCardsQuery = z.strictObject({ from: day.optional(), to: day.optional() })
export type SupplierCardsQuery = z.infer<typeof supplierCardsQuery>

const costSums = { records: count, spent: figure, primaryWeight: figure }

/** What a kitchen knows of a supplier: for the next talk with them. */
export const supplierCards = z
  .array(
    z.object({
      id,
      name,
      records: count,
      /** Against the same cuts of the others' goods; null where nobody else brings them. */
      yieldAgainstStyle: z.object({ mean: figure, low: figure.nullable(), high: figure.nullable() }).nullable(),
      items: z.array(
        z.object({
          item: z.string(),
          style: z.string(),
          itemName: name,
          styleName: name,
          ap: figure,
          portionYield: figure.nullable(),
          ...costSums,
          /** The same item and style of all others. */
          others: z.object(costSums),
        }),
      ),
      deliveries: z.object({
        count,
        /** Deliveries that were short, and grams missing in all. */
        short: count,
        shortWeight: figure,
        faults: count,
        sentBack: count,
        /** Money that was to be claimed. */
        claimed: figure,
      }),
      prices: z.array(
        z.object({
          article: id,
          name,
          per: z.string(),
          points: z.array(z.object({ from: day, amount: figure })),
        }),
      ),
    }),
  )
  .meta({ id: 'SupplierCards' })
export type SupplierCards = z.infer<typeof supplierCards>
export type SupplierCard = SupplierCards[number]
