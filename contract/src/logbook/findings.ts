import { LOST_VIEWS } from '@fleam/core/logbook'
import { day, id, name } from '@fleam/core/values'
import { z } from 'zod'
import { summaryQuery } from './schemas.ts'

const figure = z.number()
const maybeFigure = figure.nullable()
const count = z.number().int()

/** Which records: as for a summary, without a grouping. */
export const logbookFilters = summaryQuery.omit({ group: true })

const ofStyle = {
  /** Ids or written names, and what they are called. */
  item: z.string(),
  style: z.string(),
  itemName: name,
  styleName: name,
}
const ofCook = { ...ofStyle, cook: z.string(), cookName: name }

/** Where more practice would pay, and who is improving. */
export const logbookLearning = z
  .object({
    practice: z.array(
      z.object({
        ...ofCook,
        records: count,
        own: figure,
        house: figure,
        othersRecords: count,
        isSure: z.boolean(),
        kilosPerWeek: figure,
        costPerKg: figure,
        moneyPerWeek: figure,
        /** The pile that she has more of than the others, where there is one: what stays on the bones. */
        pile: z.object({ name, difference: figure }).nullable(),
      }),
    ),
    improving: z.array(
      z.object({
        ...ofCook,
        what: z.enum(['portion-yield', 'minutes']),
        records: count,
        units: count,
        first: figure,
        last: figure,
        from: day,
      }),
    ),
  })
  .meta({ id: 'LogbookLearning' })
export type LogbookLearning = z.infer<typeof logbookLearning>

export const curveQuery = z.strictObject({ item: id, style: id, cook: id })
export type CurveQuery = z.infer<typeof curveQuery>

const curve = z.array(
  z.object({
    id,
    day,
    repetition: figure,
    value: figure,
    fit: maybeFigure,
    low: maybeFigure,
    high: maybeFigure,
  }),
)
/** A cook's records of one item and style by her own repetition number, with the fitted curve and its band. */
export const logbookCurve = z.object({ yields: curve, minutes: curve }).meta({ id: 'LogbookCurve' })
export type LogbookCurve = z.infer<typeof logbookCurve>

/** Piles that go up and down with the year. */
export const logbookSeasons = z
  .object({
    seasons: z.array(
      z.object({
        ...ofStyle,
        pile: z.string(),
        name,
        records: count,
        most: count,
        least: count,
        swing: figure,
        p: figure,
        months: z.array(z.object({ month: count, records: count, mean: figure })),
      }),
    ),
  })
  .meta({ id: 'LogbookSeasons' })
export type LogbookSeasons = z.infer<typeof logbookSeasons>

const nowBefore = z.object({ now: figure, before: figure })
/** When making or buying became the cheaper way, and weeks in which far more was lost than is usual. */
export const logbookTurns = z
  .object({
    turns: z.array(
      z.object({
        ...ofStyle,
        to: z.enum(['make', 'buy']),
        from: day,
        until: day,
        records: count,
        cost: nowBefore,
        offer: nowBefore,
      }),
    ),
    weeks: z.array(
      z.object({ week: z.string(), view: z.enum(LOST_VIEWS), amount: figure, usual: figure, monday: day }),
    ),
  })
  .meta({ id: 'LogbookTurns' })
export type LogbookTurns = z.infer<typeof logbookTurns>

/** A span of days on one page. Both days are counted. */
export const periodQuery = z.strictObject({ from: day, to: day })
export type PeriodQuery = z.infer<typeof periodQuery>

const MAX_SEARCH = 2_000
/** A view of the logbook under a name: what stands in its address behind the path. */
export const logbookView = z
  .strictObject({
    id,
    name,
    search: z
      .string()
      .max(MAX_SEARCH)
      .regex(/^(\?|$)/, 'must begin with a question mark'),
  })
  .meta({ id: 'LogbookView' })
export type LogbookView = z.infer<typeof logbookView>
export const logbookViews = z.array(logbookView)
