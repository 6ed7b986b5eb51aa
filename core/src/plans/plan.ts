import { z } from 'zod'
import { daysBetween } from '../calendar/index.ts'
import { MAX_QUANTITY } from '../limits/index.ts'
import { goodsName, orderPlan, planDraft, planGoods } from '../planning/index.ts'
import { count, day, id, instant, minutes, money, name, positiveCount, quantity } from '../values/index.ts'
import { keptSchedule, toldTasks } from './kept-schedule.ts'

const planFields = { id, name, draft: planDraft }
export const planCreated = z.strictObject(planFields).meta({ id: 'PlanCreated' })
export const planEdit = z.strictObject({ name, draft: planDraft, version: positiveCount }).meta({ id: 'PlanEdit' })
export type PlanEdit = z.infer<typeof planEdit>

/** An accepted plan: the answer with what it was made of, as it was then. */
export const planAccepted = z
  .strictObject({ version: positiveCount, draft: planDraft, goods: planGoods, answer: orderPlan })
  .superRefine(({ draft, answer }, context) => {
    const last = draft.days - 1
    answer.orders.forEach((order, index) => {
      const place = daysBetween(draft.from, order.day)
      if (place < 0 || place > last) {
        context.addIssue({ code: 'custom', path: ['answer', 'orders', index, 'day'], message: 'is none of the days' })
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
