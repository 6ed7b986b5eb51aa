import { KEEPING_REFUSALS } from '@fleam/core/cold-store'
import { day as anyDay, grams } from '@fleam/core/values'
import { z } from 'zod'

const LAST_YEAR = 2199
/** A day from which years can be counted on without leaving the calendar. */
const day = anyDay.refine((text) => Number(text.slice(0, 4)) <= LAST_YEAR, `must not be after the year ${LAST_YEAR}`)

/** Nothing raw or cooked keeps longer than a year in the cold. */
const MAX_DAYS = 366
const MAX_MONTHS = 60
/** Lots that one pack comes from: a mixed pot has many. */
const MAX_LOTS = 200
const MAX_EVENTS = 200

const days = z.number().int().min(1).max(MAX_DAYS)
const months = z.number().int().min(1).max(MAX_MONTHS).nullable()

const event = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('freeze'), on: day }),
  z.strictObject({ what: z.literal('open'), on: day }),
  z.strictObject({ what: z.literal('thaw'), on: day, weight: grams.optional() }),
  z.strictObject({ what: z.literal('merge'), on: day, last: day }),
  z.strictObject({ what: z.literal('cook'), on: day, cooled: z.boolean(), days, months: months.optional() }),
])

/** What happened to a pack or a lot, in order: in, its last day out. */
export const lastDayRequest = z
  .strictObject({
    made: day,
    days,
    lots: z.array(day).max(MAX_LOTS).default([]),
    came: z.enum(['chilled', 'frozen', 'thawed']).default('chilled'),
    months,
    openedDays: days,
    thawedDays: days.default(1),
    events: z.array(event).max(MAX_EVENTS).default([]),
  })
  .meta({ id: 'LastDayRequest' })

export const lastDayAnswer = z
  .object({
    state: z.enum(['chilled', 'frozen', 'thawed', 'cooked', 'discard']),
    last: anyDay.nullable(),
    refused: z.array(z.object({ event: z.number().int().min(0), code: z.enum(KEEPING_REFUSALS) })),
  })
  .meta({ id: 'LastDay' })
