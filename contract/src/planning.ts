import { daysBetween } from '@fleam/core/calendar'
import { MAX_PLAN_DAYS, MAX_QUANTITY } from '@fleam/core/limits'
import {
  CHANGEABLE,
  type ChangeableField,
  type ChangeableKind,
  type Known,
  type PlanDraft,
  type PlanGoods,
} from '@fleam/core/planning'
import { z } from 'zod'
import { keptSchedule, toldTasks } from './kept-schedule.ts'
import {
  count,
  day,
  grams,
  id,
  instant,
  minutes,
  money,
  name,
  positiveCount,
  quantity,
  share,
  sum,
  weekday,
} from './numbers.ts'
import { orderPlan } from './order-plan.ts'

const MAX_LISTED = 300
const MAX_SAID = 1_000
const MAX_COVERS = 100_000
const HOURS_OF_A_DAY = 24 * 50

const KINDS = Object.keys(CHANGEABLE) as [ChangeableKind, ...ChangeableKind[]]
const FIELDS = [...new Set(Object.values(CHANGEABLE).flat())] as [ChangeableField, ...ChangeableField[]]
/** An article alone, or an article and a style. */
const goodsId = z.string().max(73)
const WHOLE_FIELDS: readonly ChangeableField[] = ['keepsDays', 'restDays', 'mostPacks', 'mostPerDay']

const change = z
  .strictObject({
    kind: z.enum(KINDS),
    id: goodsId,
    productId: id.nullable(),
    field: z.enum(FIELDS),
    value: quantity,
  })
  .superRefine((said, context) => {
    const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message })
    if (!(CHANGEABLE[said.kind] as readonly string[]).includes(said.field)) {
      refuse('field', `is nothing that a ${said.kind} has`)
    }
    if ((said.kind === 'yield') !== (said.productId !== null))
      refuse('productId', 'belongs to a yield, and to nothing else')
    if (WHOLE_FIELDS.includes(said.field) && !Number.isInteger(said.value)) refuse('value', 'must be a whole number')
    if (said.field === 'keepsDays' && said.value < 1) refuse('value', 'must be at least 1')
  })

const pin = z
  .strictObject({
    kind: z.enum(['whole', 'ready', 'cut', 'supplier']),
    id: goodsId,
    day: day.nullable().default(null),
    atLeast: count.max(MAX_QUANTITY).nullable(),
    atMost: count.max(MAX_QUANTITY).nullable(),
  })
  .refine(({ atLeast, atMost }) => atLeast === null || atMost === null || atLeast <= atMost, {
    path: ['atLeast'],
    error: 'must not be above atMost',
  })
  .refine(({ kind, atLeast, atMost }) => kind !== 'supplier' || (atLeast === null && atMost === 0), {
    path: ['kind'],
    error: 'of a supplier is forbidden, and nothing else: atMost 0',
  })

const draftFields = z.strictObject({
  from: day,
  days: z.number().int().min(1).max(MAX_PLAN_DAYS),
  covers: z.array(z.strictObject({ day, covers: count.max(MAX_COVERS) })).max(MAX_SAID),
  menu: z.array(z.strictObject({ productId: id, share })).max(MAX_LISTED),
  portions: z.array(z.strictObject({ productId: id, day, quantity })).max(MAX_SAID),
  hours: z.array(z.strictObject({ day, hours: z.number().min(0).max(HOURS_OF_A_DAY) })).max(MAX_SAID),
  away: z
    .array(z.strictObject({ cookId: id, day }))
    .max(MAX_SAID)
    .default([]),
  deliveries: z.array(z.strictObject({ supplierId: id, day, comes: z.boolean() })).max(MAX_SAID),
  stock: z.array(z.strictObject({ productId: id, quantity, useBy: day })).max(MAX_LISTED),
  lotsLeft: z.array(id).max(MAX_LISTED),
  replaces: id.nullable().default(null),
  coming: z
    .array(z.strictObject({ expectedLineId: id, day: day.nullable(), packs: count.max(MAX_QUANTITY) }))
    .max(MAX_LISTED)
    .default([]),
  changes: z.array(change).max(MAX_SAID),
  pins: z.array(pin).max(MAX_LISTED),
  coldSpace: quantity.nullable(),
  service: z.number().min(0.5).lt(1),
})

const isTwice = (keys: readonly string[], at: number) => keys.indexOf(keys[at] as string) !== at

/** What a chef says of a plan; a day outside it is kept, so that a plan made shorter can be made longer again. */
export const planDraft: z.ZodType<PlanDraft> = draftFields.superRefine((draft, context) => {
  const lists = {
    covers: draft.covers.map((each) => each.day),
    menu: draft.menu.map((each) => each.productId),
    portions: draft.portions.map((each) => `${each.productId} ${each.day}`),
    hours: draft.hours.map((each) => each.day),
    deliveries: draft.deliveries.map((each) => `${each.supplierId} ${each.day}`),
  }
  for (const [list, keys] of Object.entries(lists)) {
    keys.forEach((_, at) => {
      if (isTwice(keys, at)) context.addIssue({ code: 'custom', path: [list, at], message: 'is there twice' })
    })
  }
})

const listed = <T extends z.ZodType>(each: T) => z.array(each).max(MAX_LISTED)
const known = z.object({
  value: sum,
  source: z.enum(['own', 'blended', 'assumed', 'price-book', 'terms', 'week', 'cold', 'plan']),
}) satisfies z.ZodType<Known>
const unitName = z.object({ one: name, many: name })
/** Names of goods say whose they are where two are called the same. */
const goodsName = z.string().min(1).max(500)
const weekHours = z.array(z.number().min(0).max(24)).length(7)

/** What a kitchen knows of some products. */
export const planGoods: z.ZodType<PlanGoods> = z
  .object({
    products: listed(
      z.object({
        id,
        name: goodsName,
        unit: z.enum(['portion', 'kg']),
        isWaste: z.boolean(),
        keepsDays: known,
        cold: known,
        surplusValue: known,
        disposal: known,
        usedPerWeek: known.nullable().default(null),
      }),
    ),
    suppliers: listed(
      z.object({ id, name, deliveryDays: z.array(weekday).max(7).nullable(), charge: known, minimum: known }),
    ),
    wholes: listed(
      z.object({
        id,
        name: goodsName,
        supplierId: id,
        itemId: id,
        unitName,
        pack: quantity,
        price: known,
        keepsDays: known,
        cold: known,
      }),
    ),
    cuts: listed(
      z.object({
        id: goodsId,
        name: goodsName,
        styleId: id,
        wholeId: id,
        minutes: known,
        setUp: known,
        consumables: known,
        restDays: known,
        yields: listed(
          z.object({
            productId: id,
            quantity: known,
            carries: grams.nullable().default(null),
            sd: sum,
            df: sum.nullable(),
            tests: count,
            spread: z.enum(['own', 'pooled', 'none']),
          }),
        ),
      }),
    ),
    ready: listed(
      z.object({
        ...{ id, name: goodsName, supplierId: id, productId: id, quantity: known, price: known, handling: known },
        carries: grams.nullable().default(null),
      }),
    ),
    stock: listed(
      z.object({
        lotId: id,
        code: name.nullable(),
        wholeId: id,
        units: quantity,
        held: quantity.default(0),
        useBy: day,
      }),
    ),
    coming: listed(
      z.object({
        ...{ expectedLineId: id, kind: z.enum(['whole', 'ready']), articleId: id, name: goodsName, supplier: name },
        ...{ day, packs: positiveCount, units: quantity },
      }),
    ).default([]),
    cooks: listed(z.object({ name, wagePerHour: money, hours: weekHours.nullable() })),
    held: z
      .object({
        plans: listed(name),
        minutes: listed(z.object({ day, minutes: sum })),
        kilos: listed(z.object({ day, kilos: sum })),
      })
      .default({ plans: [], minutes: [], kilos: [] }),
    boardShare: z.object({ value: z.number().gt(0).max(1), schedules: count }).default({ value: 1, schedules: 0 }),
    wagePerHour: money,
  })
  .meta({ id: 'PlanGoods' })

const planFields = { id, name, draft: planDraft }
export const planCreated = z.strictObject(planFields).meta({ id: 'PlanCreated' })
export const planEdit = z.strictObject({ name, draft: planDraft, version: positiveCount }).meta({ id: 'PlanEdit' })
export type PlanEdit = z.infer<typeof planEdit>

/** An accepted plan: the answer with what it was made of, as it was then. */
export const planAccepted = z
  .strictObject({ version: positiveCount, draft: planDraft, goods: planGoods, answer: orderPlan })
  .superRefine(({ draft, answer }, context) => {
    const last = draft.days - 1
    answer.orders.forEach((order, at) => {
      const place = daysBetween(draft.from, order.day)
      if (place < 0 || place > last) {
        context.addIssue({ code: 'custom', path: ['answer', 'orders', at, 'day'], message: 'is none of the days' })
      }
    })
  })
  .meta({ id: 'PlanAccepted' })
export type PlanAccepted = z.infer<typeof planAccepted>

/** A line of an order that is expected, with what came of it. */
export const expectedLine = z
  .object({
    id,
    planId: id,
    plan: name,
    supplierId: id,
    supplier: name,
    day,
    kind: z.enum(['whole', 'ready']),
    articleId: id,
    itemId: id.nullable(),
    name: goodsName,
    packs: positiveCount,
    /** Pieces of what is cut here, portions of what is bought ready, in all. */
    units: quantity,
    price: money,
    /** Packs or pieces that came, said at the door; null while nobody said. */
    arrived: z.number().nullable(),
    /** The lots that it came as. */
    lots: z.array(z.object({ id, code: name.nullable(), pieces: count.nullable() })),
  })
  .meta({ id: 'ExpectedLine' })
export type ExpectedLine = z.infer<typeof expectedLine>
export const expectedLines = z.array(expectedLine)
/** What came of a line, in packs; null takes it back. */
export const arrival = z.strictObject({ arrived: count.max(MAX_QUANTITY).nullable() })

/** A fabrication that is planned, and what it really was once it is finished. */
export const plannedFabrication = z
  .object({
    id,
    planId: id,
    plan: name,
    styleId: id,
    style: name,
    itemId: id,
    item: name,
    articleId: id,
    supplierId: id,
    day,
    units: positiveCount,
    minutes,
    /** Portions that it is to serve. */
    portions: z.array(z.object({ productId: id, product: z.string(), quantity })),
    /** Money of what is cut, its minutes and its bags. */
    money,
    cookId: id.nullable(),
    /** The lot that it is cut from: one in the cold, or the one that came for it. */
    lotId: id.nullable(),
    /** The delivery that it waits for; null where it is cut from the cold. */
    expectedLineId: id.nullable(),
    isDropped: z.boolean(),
    /** When the schedule of its plan begins it, and who does; null where there is none. */
    begins: z.object({ day, minute: z.number(), cookId: id.nullable() }).nullable(),
    fabricationId: id.nullable(),
    real: z
      .object({
        isClosed: z.boolean(),
        startedAt: instant,
        /** Its last weighing; null before the first. */
        lastAt: instant.nullable(),
        closedAt: instant.nullable(),
        /** Units of which all that is counted was weighed, or that went back into the cold. */
        unitsDone: count,
        cookId: id.nullable(),
        units: count,
        minutes: z.number(),
        portions: z.array(z.object({ productId: id, quantity: z.number() })),
        money: z.number(),
      })
      .nullable(),
  })
  .meta({ id: 'PlannedFabrication' })
export type PlannedFabrication = z.infer<typeof plannedFabrication>
export const plannedFabrications = z.array(plannedFabrication)
/** What may be changed of a planned fabrication that has not begun. */
export const plannedEdit = z.strictObject({ cookId: id.nullable(), isDropped: z.boolean() })
export type PlannedEdit = z.infer<typeof plannedEdit>

export const plan = z
  .object({
    ...planFields,
    version: positiveCount,
    schedule: keptSchedule.nullable(),
    /** What hands told of its tasks. */
    told: toldTasks,
    createdAt: instant,
    updatedAt: instant,
    accepted: z
      .object({
        at: instant,
        draft: planDraft,
        goods: planGoods,
        answer: orderPlan,
        expected: expectedLines,
        planned: plannedFabrications,
      })
      .nullable(),
  })
  .meta({ id: 'Plan' })
export type Plan = z.infer<typeof plan>

export const planRow = z.object({
  id,
  name,
  from: day,
  days: positiveCount,
  acceptedAt: instant.nullable(),
  /** Planned fabrications and how many of them are finished; deliveries and how many have come. */
  planned: count,
  finished: count,
  expected: count,
  arrived: count,
  /** Of what was accepted: what it costs, how sure that is, and portions short; null before. */
  answer: z
    .object({
      total: z.number(),
      status: z.enum(['optimal', 'within-gap', 'refused']),
      gap: z.number(),
      short: z.number(),
    })
    .nullable(),
  /** The next day on which something is expected; null where nothing is any more. */
  nextDelivery: day.nullable(),
  /** Fabrications of days that are over and have not begun. */
  overdue: count,
})
export const planRows = z.array(planRow).meta({ id: 'PlanRows' })
export type PlanRow = z.infer<typeof planRow>
