import { z } from 'zod'
import { addDays, type Day } from '../calendar/index.ts'
import { MAX_ANSWER_LINES, MAX_QUANTITY } from '../limits/index.ts'
import { count, currency, day, type FixedLists, minutes, money, name, quantity, sum } from '../values/index.ts'

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
const listOf = <T extends z.ZodType>(entry: T) => z.array(entry).max(MAX_LISTED)

/** Something that is served, or comes beside it. Quantities are in its unit: portions, kilos. */
const product = z.strictObject({
  name,
  unit: name,
  /** Days on which it may serve, the first counted. */
  keepsDays,
  /** Cold space of one. */
  cold: some,
  /** Money that one more than is served is worth, for so many of them; the others cost `disposal` each. */
  surplusValue: price,
  surplusUpTo: some,
  disposal: price,
})

/** What one unit of a cut gives of a product; the spread between records, and how many there were. */
const givenYield = z.strictObject({
  product: name,
  quantity,
  sd: some,
  tests: z.number().int().min(0).max(MAX_QUANTITY).default(0),
  /** Degrees of freedom of the spread; one less than the records where nothing is said. */
  df: z.number().positive().max(MAX_QUANTITY).nullable().default(null),
})

const cut = z.strictObject({
  name,
  whole: name,
  /** Of one unit, and once on each day that it is cut. */
  minutes,
  setUp: minutes.default(0),
  consumables: price,
  /** Days before what it gives may serve. */
  restDays: z.number().int().min(0).max(MAX_KEEPS).default(0),
  mostPerDay: most(DEFAULT_UNITS),
  yields: z.array(givenYield).min(1).max(MAX_YIELDS),
})

/** What is there before the plan: of a product or a whole, until a day. */
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
  /** Consecutive. */
  days: z.array(day).min(1).max(MAX_DAYS),
  products: listOf(product).min(1),
  demand: z.array(z.strictObject({ product: name, day, quantity })).max(MAX_DEMANDS),
  /** `charge` is the money of a delivery, `minimum` what one has to be worth at least. */
  suppliers: listOf(z.strictObject({ name, delivers: z.array(day).max(MAX_DAYS), charge: price, minimum: price })),
  /** Whole birds, fish or cuts as they are bought: `price` money for a pack of so many. */
  wholes: listOf(
    z.strictObject({
      name,
      supplier: name,
      pack: positive,
      price: money,
      /** Of a delivery. */
      mostPacks: most(DEFAULT_PACKS),
      keepsDays,
      cold: some,
    }),
  ),
  cuts: listOf(cut),
  /** Packs that are bought ready: `quantity` of the product for `price`. */
  ready: listOf(
    z.strictObject({
      name,
      supplier: name,
      product: name,
      quantity: positive,
      price: money,
      mostPacks: most(DEFAULT_PACKS),
    }),
  ).default([]),
  stock: listOf(stock).default([]),
  /** Money an hour, and hours of each day. */
  labour: z.strictObject({ ratePerHour: money, hours: z.array(z.number().min(0).max(HOURS_OF_A_DAY)).max(MAX_DAYS) }),
  /** Null where the cold has no limit. */
  coldSpace: quantity.nullable().default(null),
  /** In this share of cases a cut gives at least what is planned. */
  service: z.number().min(0.5).lt(1).default(0.5),
})

type Fields = z.infer<typeof fields>
type Refuse = (path: (string | number)[], message: string) => void

function refuseDays({ days, demand, labour }: Fields, refuse: Refuse): void {
  days.forEach((next, index) => {
    const before = days[index - 1]
    // A day that the calendar does not have is refused by itself, and has none after it.
    if (before === undefined || !day.safeParse(before).success) return
    if (next !== addDays(before, 1)) refuse(['days', index], 'must be the day after the one before')
  })
  demand.forEach((line, index) => {
    if (!days.includes(line.day)) refuse(['demand', index, 'day'], 'is none of the days')
  })
  if (labour.hours.length !== days.length) refuse(['labour', 'hours'], `must be ${days.length}, one for each day`)
}

/** Goods that are ordered share their names: a line of an order says no more. */
function refuseTwice({ products, suppliers, wholes, cuts, ready }: Fields, refuse: Refuse): void {
  const ordered = new Set<string>()
  const lists = { products, suppliers, cuts, wholes, ready }
  for (const [list, rows] of Object.entries(lists)) {
    const taken = list === 'wholes' || list === 'ready' ? ordered : new Set<string>()
    rows.forEach((one, index) => {
      if (taken.has(one.name)) refuse([list, index, 'name'], 'is there twice')
      taken.add(one.name)
    })
  }
}

function refuseUnknown(given: Fields, refuse: Refuse): void {
  const namesOf = (list: readonly { name: string }[]) => new Set(list.map((item) => item.name))
  const names = { product: namesOf(given.products), supplier: namesOf(given.suppliers), whole: namesOf(given.wholes) }
  const look = (kind: keyof typeof names, path: (string | number)[], value: string) => {
    if (!names[kind].has(value)) refuse([...path, kind], `is no ${kind} of this plan`)
  }
  given.demand.forEach((line, index) => {
    look('product', ['demand', index], line.product)
  })
  given.wholes.forEach((whole, index) => {
    look('supplier', ['wholes', index], whole.supplier)
  })
  given.cuts.forEach((cut, index) => {
    look('whole', ['cuts', index], cut.whole)
    const seen = new Set<string>()
    cut.yields.forEach((one, place) => {
      look('product', ['cuts', index, 'yields', place], one.product)
      if (seen.has(one.product)) refuse(['cuts', index, 'yields', place, 'product'], 'is there twice')
      seen.add(one.product)
    })
  })
  given.ready.forEach((offer, index) => {
    look('supplier', ['ready', index], offer.supplier)
    look('product', ['ready', index], offer.product)
  })
  given.stock.forEach((line, index) => {
    if ((line.product === null) === (line.whole === null))
      refuse(['stock', index], 'must be of a product or of a whole')
    if (line.product !== null) look('product', ['stock', index], line.product)
    if (line.whole !== null) look('whole', ['stock', index], line.whole)
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
  .meta({ id: 'OrderPlanRequest' })
type Sent = FixedLists<Fields>
export type PlanProduct = Sent['products'][number]
export type PlanDemand = Sent['demand'][number]
export type PlanSupplier = Sent['suppliers'][number]
export type PlanWhole = Sent['wholes'][number]
export type PlanCut = Sent['cuts'][number]
export type PlanYield = PlanCut['yields'][number]
export type PlanReady = Sent['ready'][number]
/** With the day on which it comes; it is there from the first day on where nobody says. */
export type PlanStock = Sent['stock'][number] & { readonly from?: Day }
/** What a plan is made of; a file says besides in what format it is. */
export type OrderPlanRequest = Omit<Sent, 'format' | 'version' | 'stock'> & { readonly stock: readonly PlanStock[] }

/** Pinned: of something ordered or cut at least and at most so many packs or units; 0 at most forbids it. */
export interface PlanPin {
  kind: 'whole' | 'ready' | 'cut'
  name: string
  /** The day on which it is ordered or cut; null for all days together. */
  day: Day | null
  atLeast: number | null
  atMost: number | null
}

const figure = sum
const linesOf = <T extends z.ZodType>(entry: T) => z.array(entry).max(MAX_ANSWER_LINES)
const place = z.number().int().min(0).max(MAX_LISTED)
const unitCount = z.number().int().min(0).max(MAX_QUANTITY)
const source = z.union([
  z.strictObject({ kind: z.literal('cut'), cut: name, day }),
  z.strictObject({ kind: z.literal('ready'), name, day }),
  /** `at` is the place in `stock`. */
  z.strictObject({ kind: z.literal('stock'), at: place }),
])
export type UseSource = z.infer<typeof source>
const wholeSource = [
  z.strictObject({ kind: z.literal('delivery'), day }),
  z.strictObject({ kind: z.literal('stock'), at: place }),
] as const
export type WholeSource = z.infer<(typeof wholeSource)[number]>
const units = { units: figure }

/** What to order and how to cut it, and how far that may be from the best. */
export const orderPlan = z
  .object({
    status: z.enum(['optimal', 'within-gap', 'refused']),
    /** The total cannot be below it; how far the plan may be from the best, as a share. */
    bound: figure,
    gap: figure,
    /** Money; `total` is the sum with the surplus taken off. */
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
    orders: linesOf(
      z.object({
        supplier: name,
        day,
        lines: linesOf(z.object({ name, packs: unitCount })),
        charge: figure,
      }),
    ),
    cutting: linesOf(
      z.object({
        cut: name,
        day,
        units: unitCount,
        minutes: figure,
        from: linesOf(z.union([wholeSource[0].extend(units), wholeSource[1].extend(units)])),
      }),
    ),
    use: linesOf(z.object({ product: name, day, quantity: figure, source })),
    left: linesOf(z.object({ product: name, quantity: figure, valued: figure, disposed: figure })),
    uncut: linesOf(z.object({ whole: name, source: z.union(wholeSource), units: figure })),
    short: linesOf(
      z.object({
        product: name,
        day,
        quantity: figure,
        because: z.array(z.string().max(LONGEST_REASON)).max(MAX_LISTED),
      }),
    ),
    /** Cost of the same demand with no cut, and with no ready good; null where that leaves another shortage. */
    beside: z.object({ allReady: figure.nullable(), allCut: figure.nullable() }),
    /** Limits that are used up, and what loosening each would bring: less shortage, or money where that stays. */
    limits: linesOf(
      z.object({
        limit: z.enum(['labour', 'cold', 'most-packs', 'most-per-day', 'minimum', 'delivery-day']),
        /** Of what; null for labour and cold. */
        name: name.nullable(),
        day: day.nullable(),
        oneMore: z.string().max(LONGEST_REASON),
        saves: figure.nullable(),
        shorter: figure,
      }),
    ),
    /** How the plan does in seeded draws. */
    service: z.object({
      asked: figure,
      /** The lowest share of draws over the demands planned in full, and that in which every one is met. */
      met: figure,
      all: figure,
      draws: count,
      /** What it costs above the plan at the mean; null where that has another shortage. */
      premium: figure.nullable(),
    }),
  })
  .meta({ id: 'OrderPlan' })
export type OrderPlan = z.infer<typeof orderPlan>
export type PlanCost = OrderPlan['cost']
export type PlanLimit = OrderPlan['limits'][number]
