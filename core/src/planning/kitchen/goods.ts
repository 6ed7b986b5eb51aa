import { z } from 'zod'
import {
  count,
  day,
  type FixedLists,
  grams,
  id,
  money,
  name,
  positiveCount,
  quantity,
  sum,
  weekday,
} from '../../values/index.ts'

/** Entries of a list of a plan. */
export const MAX_LISTED = 300
/** An article alone, or an article and a style. */
export const goodsId = z.string().max(73)
const listOf = <T extends z.ZodType>(entry: T) => z.array(entry).max(MAX_LISTED)
/**
 * A value, and where it is from: the kitchen's own records, records and the style blended, assumed; the price book, a
 * supplier's terms, the cooks' week, what stands in the cold; or said for this plan alone.
 */
const knownValue = z.object({
  value: sum,
  source: z.enum(['own', 'blended', 'assumed', 'price-book', 'terms', 'week', 'cold', 'plan']),
})
export type Known = z.infer<typeof knownValue>
export type GoodsSource = Known['source']

const unitName = z.object({ one: name, many: name })
/** Names of goods say whose they are where two are called the same. */
export const goodsName = z.string().min(1).max(500)
const weekHours = z.array(z.number().min(0).max(24)).length(7)

const goodsFields = z
  .object({
    /** Portions of what is served, kilos of what comes beside it. */
    products: listOf(
      z.object({
        id,
        name: goodsName,
        unit: z.enum(['portion', 'kg']),
        /** It goes into the bin: over, it is of no use. */
        isWaste: z.boolean(),
        keepsDays: knownValue,
        /** Kilos of one. */
        cold: knownValue,
        /** Money that one more than is served is worth, and what one thrown away costs. */
        surplusValue: knownValue,
        disposal: knownValue,
        /** So much of it was of use in the busiest of the last weeks, in its unit; null where nobody knows. */
        usedPerWeek: knownValue.nullable().default(null),
      }),
    ),
    suppliers: listOf(
      z.object({
        id,
        name,
        /** Days of the week on which it comes, 1 for Monday to 7; null where nobody said: then any. */
        deliveryDays: z.array(weekday).max(7).nullable(),
        charge: knownValue,
        minimum: knownValue,
      }),
    ),
    wholes: listOf(
      z.object({
        /** The article. */
        id,
        name: goodsName,
        supplierId: id,
        itemId: id,
        /** One of it, and several. */
        unitName,
        /** Units in the smallest order, and what that costs. */
        pack: quantity,
        price: knownValue,
        keepsDays: knownValue,
        /** Kilos of one unit. */
        cold: knownValue,
      }),
    ),
    cuts: listOf(
      z.object({
        id: goodsId,
        name: goodsName,
        styleId: id,
        wholeId: id,
        minutes: knownValue,
        setUp: knownValue,
        consumables: knownValue,
        restDays: knownValue,
        yields: listOf(
          z.object({
            productId: id,
            /** Of one unit, in the product's unit. */
            quantity: knownValue,
            /** Grams that lie on one plate of it; null where it is no portion, or was not known when it was planned. */
            carries: grams.nullable().default(null),
            /** Spread between records, its degrees of freedom, and as how many records the mean counts. */
            sd: sum,
            df: sum.nullable(),
            tests: count,
            /** Whose spread: the style's own from five records on, else that of the item's styles together. */
            spread: z.enum(['own', 'pooled', 'none']),
          }),
        ),
      }),
    ),
    ready: listOf(
      z.object({
        /** The article. */
        id,
        name: goodsName,
        supplierId: id,
        productId: id,
        /** Portions of one pack, rejects out. */
        quantity: knownValue,
        price: knownValue,
        /** Minutes at the pass for one pack. */
        handling: knownValue,
        /** Grams that lie on one plate of it; null where that was not known when it was planned. */
        carries: grams.nullable().default(null),
      }),
    ),
    /** Lots in the cold that may be cut: units that are free, and those that accepted plans cut. */
    stock: listOf(
      z.object({
        lotId: id,
        code: name.nullable(),
        wholeId: id,
        units: quantity,
        held: quantity.default(0),
        useBy: day,
      }),
    ),
    /** What is ordered and has not come, of the plan of which what is left is planned. */
    coming: listOf(
      z.object({
        expectedLineId: id,
        kind: z.enum(['whole', 'ready']),
        articleId: id,
        name: goodsName,
        supplier: name,
        day,
        packs: positiveCount,
        /** Pieces of a whole, portions of what is ready, in all. */
        units: quantity,
      }),
    ).default([]),
    /** Hours at the board by day of the week, Monday first; null where nobody said. */
    cooks: listOf(z.object({ name, wagePerHour: money, hours: weekHours.nullable() })),
    /** What accepted plans take of the days to come: it is there for no other plan. */
    held: z
      .object({
        plans: listOf(name),
        minutes: listOf(z.object({ day, minutes: sum })),
        kilos: listOf(z.object({ day, kilos: sum })),
      })
      .default({ plans: [], minutes: [], kilos: [] }),
    /** What of the cooks' hours is cutting, and how many schedules tell so; 1 where none do. */
    boardShare: z.object({ value: z.number().gt(0).max(1), schedules: count }).default({ value: 1, schedules: 0 }),
    /** What an hour costs where no cook says. */
    wagePerHour: money,
  })
  .meta({ id: 'PlanGoods' })

/** What a kitchen knows of some products: what they can be made of, bought as, and kept how long. */
export const planGoods: z.ZodType<PlanGoods> = goodsFields
export type PlanGoods = FixedLists<z.infer<typeof goodsFields>>
export type GoodsProduct = PlanGoods['products'][number]
export type GoodsWhole = PlanGoods['wholes'][number]
export type GoodsCut = PlanGoods['cuts'][number]
export type GoodsYield = GoodsCut['yields'][number]
export type GoodsReady = PlanGoods['ready'][number]
export type GoodsComing = PlanGoods['coming'][number]
export type GoodsCook = PlanGoods['cooks'][number]
export type HeldByPlans = PlanGoods['held']
