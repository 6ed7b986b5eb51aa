import { addDays } from '@fleam/core/calendar'
import { MAX_ANSWER_LINES, MAX_QUANTITY } from '@fleam/core/limits'
import type { OrderPlan, OrderPlanRequest } from '@fleam/core/planning'
import { z } from 'zod'
import { count, currency, day, minutes, money, name, quantity, sum } from './numbers.ts'

export const ORDER_PLAN_FORMAT = 'fleam/order-plan'

const MAX_DAYS = 31
const MAX_LISTED = 300
const MAX_DEMANDS = 2_000
const MAX_YIELDS = 40
const MAX_KEEPS = 400
const DEFAULT_PACKS = 1_000
const DEFAULT_UNITS = 10_000
const HOURS_OF_A_DAY = 24 * 50
const LONGEST_REASON = 400

const positive = z.number().positive().max(MAX_QUANTITY)
const some = quantity.default(0)
const price = money.default(0)
const keepsDays = z.number().int().min(1).max(MAX_KEEPS)
const most = (usual: number) => z.number().int().min(0).max(MAX_QUANTITY).default(usual)
const listed = <T extends z.ZodType>(each: T) => z.array(each).max(MAX_LISTED)

const product = z.strictObject({
  name,
  unit: name,
  keepsDays,
  cold: some,
  surplusValue: price,
  surplusUpTo: some,
  disposal: price,
})

const givenYield = z.strictObject({
  product: name,
  quantity,
  sd: some,
  tests: z.number().int().min(0).max(MAX_QUANTITY).default(0),
  df: z.number().positive().max(MAX_QUANTITY).nullable().default(null),
})

const cut = z.strictObject({
  name,
  whole: name,
  minutes,
  setUp: minutes.default(0),
  consumables: price,
  restDays: z.number().int().min(0).max(MAX_KEEPS).default(0),
  mostPerDay: most(DEFAULT_UNITS),
  yields: z.array(givenYield).min(1).max(MAX_YIELDS),
})

const stock = z.strictObject({
  product: name.nullable().default(null),
  whole: name.nullable().default(null),
  quantity,
  useBy: day,
})

const fields = z.strictObject({
  format: z.literal(ORDER_PLAN_FORMAT),
  version: z.literal(1),
  currency,
  days: z.array(day).min(1).max(MAX_DAYS),
  products: listed(product).min(1),
  demand: z.array(z.strictObject({ product: name, day, quantity })).max(MAX_DEMANDS),
  suppliers: listed(z.strictObject({ name, delivers: z.array(day).max(MAX_DAYS), charge: price, minimum: price })),
  wholes: listed(
    z.strictObject({
      name,
      supplier: name,
      pack: positive,
      price: money,
      mostPacks: most(DEFAULT_PACKS),
      keepsDays,
      cold: some,
    }),
  ),
  cuts: listed(cut),
  ready: listed(
    z.strictObject({
      name,
      supplier: name,
      product: name,
      quantity: positive,
      price: money,
      mostPacks: most(DEFAULT_PACKS),
    }),
  ).default([]),
  stock: listed(stock).default([]),
  labour: z.strictObject({ ratePerHour: money, hours: z.array(z.number().min(0).max(HOURS_OF_A_DAY)).max(MAX_DAYS) }),
  coldSpace: quantity.nullable().default(null),
  service: z.number().min(0.5).lt(1).default(0.5),
})

type Fields = z.infer<typeof fields>
type Refuse = (path: (string | number)[], message: string) => void

function refuseDays({ days, demand, labour }: Fields, refuse: Refuse): void {
  days.forEach((each, at) => {
    const before = days[at - 1]
    // A day that the calendar does not have is refused by itself, and has none after it.
    if (before === undefined || !day.safeParse(before).success) return
    if (each !== addDays(before, 1)) refuse(['days', at], 'must be the day after the one before')
  })
  demand.forEach((each, at) => {
    if (!days.includes(each.day)) refuse(['demand', at, 'day'], 'is none of the days')
  })
  if (labour.hours.length !== days.length) refuse(['labour', 'hours'], `must be ${days.length}, one for each day`)
}

/** Goods that are ordered share their names: a line of an order says no more. */
function refuseTwice({ products, suppliers, wholes, cuts, ready }: Fields, refuse: Refuse): void {
  const ordered = new Set<string>()
  const lists = { products, suppliers, cuts, wholes, ready }
  for (const [list, each] of Object.entries(lists)) {
    const known = list === 'wholes' || list === 'ready' ? ordered : new Set<string>()
    each.forEach((one, at) => {
      if (known.has(one.name)) refuse([list, at, 'name'], 'is there twice')
      known.add(one.name)
    })
  }
}

function refuseUnknown(given: Fields, refuse: Refuse): void {
  const namesOf = (list: readonly { name: string }[]) => new Set(list.map((each) => each.name))
  const known = { product: namesOf(given.products), supplier: namesOf(given.suppliers), whole: namesOf(given.wholes) }
  const look = (kind: keyof typeof known, path: (string | number)[], value: string) => {
    if (!known[kind].has(value)) refuse([...path, kind], `is no ${kind} of this plan`)
  }
  given.demand.forEach((each, at) => {
    look('product', ['demand', at], each.product)
  })
  given.wholes.forEach((each, at) => {
    look('supplier', ['wholes', at], each.supplier)
  })
  given.cuts.forEach((each, at) => {
    look('whole', ['cuts', at], each.whole)
    const seen = new Set<string>()
    each.yields.forEach((one, place) => {
      look('product', ['cuts', at, 'yields', place], one.product)
      if (seen.has(one.product)) refuse(['cuts', at, 'yields', place, 'product'], 'is there twice')
      seen.add(one.product)
    })
  })
  given.ready.forEach((each, at) => {
    look('supplier', ['ready', at], each.supplier)
    look('product', ['ready', at], each.product)
  })
  given.stock.forEach((each, at) => {
    if ((each.product === null) === (each.whole === null)) refuse(['stock', at], 'must be of a product or of a whole')
    if (each.product !== null) look('product', ['stock', at], each.product)
    if (each.whole !== null) look('whole', ['stock', at], each.whole)
  })
}

/** What has to be served when, and what it may be made of. */
export const orderPlanRequest = fields
  .superRefine((given, context) => {
    const refuse: Refuse = (path, message) => context.addIssue({ code: 'custom', path, message })
    refuseDays(given, refuse)
    refuseTwice(given, refuse)
    refuseUnknown(given, refuse)
  })
  .meta({ id: 'OrderPlanRequest' }) satisfies z.ZodType<OrderPlanRequest>

const figure = sum
const lines = <T extends z.ZodType>(each: T) => z.array(each).max(MAX_ANSWER_LINES)
const place = z.number().int().min(0).max(MAX_LISTED)
const unitCount = z.number().int().min(0).max(MAX_QUANTITY)
const source = z.union([
  z.strictObject({ kind: z.literal('cut'), cut: name, day }),
  z.strictObject({ kind: z.literal('ready'), name, day }),
  z.strictObject({ kind: z.literal('stock'), at: place }),
])
const wholeSource = [
  z.strictObject({ kind: z.literal('delivery'), day }),
  z.strictObject({ kind: z.literal('stock'), at: place }),
] as const
const units = { units: figure }

/** What to order and how to cut it, and how far that may be from the best. */
export const orderPlan = z
  .object({
    status: z.enum(['optimal', 'within-gap', 'refused']),
    bound: figure,
    gap: figure,
    cost: z.object({
      wholes: figure,
      ready: figure,
      delivery: figure,
      labour: figure,
      consumables: figure,
      disposal: figure,
      surplus: figure,
      total: figure,
    }),
    orders: lines(
      z.object({
        supplier: name,
        day,
        lines: lines(z.object({ name, packs: unitCount })),
        charge: figure,
      }),
    ),
    cutting: lines(
      z.object({
        cut: name,
        day,
        units: unitCount,
        minutes: figure,
        from: lines(z.union([wholeSource[0].extend(units), wholeSource[1].extend(units)])),
      }),
    ),
    use: lines(z.object({ product: name, day, quantity: figure, source })),
    left: lines(z.object({ product: name, quantity: figure, valued: figure, disposed: figure })),
    uncut: lines(z.object({ whole: name, source: z.union(wholeSource), units: figure })),
    short: lines(
      z.object({
        product: name,
        day,
        quantity: figure,
        because: z.array(z.string().max(LONGEST_REASON)).max(MAX_LISTED),
      }),
    ),
    beside: z.object({ allReady: figure.nullable(), allCut: figure.nullable() }),
    limits: lines(
      z.object({
        limit: z.enum(['labour', 'cold', 'most-packs', 'most-per-day', 'minimum', 'delivery-day']),
        name: name.nullable(),
        day: day.nullable(),
        oneMore: z.string().max(LONGEST_REASON),
        saves: figure.nullable(),
        shorter: figure,
      }),
    ),
    service: z.object({
      asked: figure,
      met: figure,
      all: figure,
      draws: count,
      premium: figure.nullable(),
    }),
  })
  .meta({ id: 'OrderPlan' }) satisfies z.ZodType<OrderPlan>
