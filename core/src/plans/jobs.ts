import { daysBetween, minutesSince } from '../calendar/index.ts'
import type { PlanDraft } from '../planning/index.ts'
import {
  type JobProgress,
  type MarkedTask,
  MINUTES_OF_A_DAY,
  type PlannedJob,
  placedTaskOf,
  usualStyleWork,
  type WorkCook,
} from '../scheduling/index.ts'
import { settleStyle, stepMinutes } from '../style/index.ts'
import type { PlanItem, PlanStyle } from './item.ts'
import type { KeptSchedule, StylesWork } from './kept-schedule.ts'
import type { Plan, PlannedFabrication } from './plan.ts'

type Accepted = NonNullable<Plan['accepted']>

/** The first day that what is cut of a style on a day serves; null where it serves nobody. */
function servesOf({ answer, goods }: Accepted, { styleId, articleId, day }: PlannedFabrication): string | null {
  const cut = goods.cuts.find((cut) => cut.styleId === styleId && cut.wholeId === articleId)
  const days = answer.use.flatMap(({ source, day: served }) =>
    source.kind === 'cut' && source.cut === cut?.name && source.day === day ? [served] : [],
  )
  return [...days].sort()[0] ?? null
}

export interface JobsOptions {
  items: readonly PlanItem[]
  works: StylesWork
  schedule: KeptSchedule
  timeZone: string
}

/**
 * What there is to do of an accepted plan, and what is done of it: finished work that was never placed is over, and what
 * was dropped is not done.
 */
export function planJobs(accepted: Accepted, { items, works, schedule, timeZone }: JobsOptions): PlannedJob[] {
  const { draft, goods, expected } = accepted
  const placed = new Set(schedule.tasks.map(({ jobId }) => jobId))
  return accepted.planned.flatMap((planned): PlannedJob[] => {
    const item = items.find(({ id }) => id === planned.itemId)
    const style = item?.styles.find(({ id }) => id === planned.styleId)
    const isOver = planned.real?.isClosed && !placed.has(planned.id)
    if (!item || !style || planned.isDropped || isOver) return []
    const cut = goods.cuts.find((cut) => cut.styleId === planned.styleId && cut.wholeId === planned.articleId)
    const work = works.find(({ styleId }) => styleId === style.id)
    const isBonded = style.steps.some(({ tool }) => tool === 'enzyme')
    const hasBones = style.piles.some(({ kind }) => kind === 'bones')
    const line = expected.find(({ id }) => id === planned.expectedLineId)
    const late = schedule.late.find(({ expectedLineId }) => expectedLineId === planned.expectedLineId)
    const ordered = line && daysBetween(draft.from, line.day) * MINUTES_OF_A_DAY
    return [
      {
        id: planned.id,
        itemId: item.id,
        styleId: style.id,
        name: `${item.name}: ${style.name.toLowerCase()}`,
        species: item.species,
        unitName: item.unitName,
        unitGrams: item.unitWeight.usual,
        units: planned.units,
        day: planned.day,
        minutes: planned.minutes,
        setUp: Math.min(planned.minutes, cut?.setUp.value ?? 0),
        cookId: planned.cookId,
        serves: servesOf(accepted, planned),
        portions: planned.portions.reduce((sum, { quantity }) => sum + quantity, 0),
        work: work?.work ?? usualStyleWork({ isBonded, hasBones }, schedule.settings),
        needsSaw: style.steps.some(({ tool }) => tool === 'saw'),
        steps: jobSteps(style),
        minutesBy: Object.fromEntries((work?.minutesBy ?? []).map((entry) => [entry.cookId, entry.minutesPerUnit])),
        comes: planned.lotId === null ? (late?.comes ?? ordered ?? null) : null,
        progress: jobProgress(planned, draft.from, timeZone),
      },
    ]
  })
}

/** Steps of a style as they are done where nobody chose otherwise, with their minutes of one unit. */
function jobSteps(style: PlanStyle): PlannedJob['steps'] {
  const { steps, minutesPerUnit } = settleStyle(style, {})
  const minutes = stepMinutes(steps, minutesPerUnit)
  return steps.map(({ id, title }, index) => ({ id, title, minutes: minutes[index] as number }))
}

/** How far a planned fabrication is, in minutes since a day by the kitchen's clock; one closed later was cut by its last weighing. */
export function jobProgress(
  { real }: Pick<PlannedFabrication, 'real'>,
  from: string,
  timeZone: string,
): JobProgress | null {
  if (!real) return null
  const at = (instant: string) => minutesSince(from, timeZone, new Date(instant))
  return {
    start: Math.max(0, at(real.startedAt)),
    unitsDone: real.unitsDone,
    lastAt: real.lastAt === null ? null : at(real.lastAt),
    end: real.closedAt === null ? null : at(real.lastAt ?? real.closedAt),
    cook: real.cookId,
  }
}

/** The tasks that are kept, with what hands told of them, in minutes since a day by the kitchen's clock. */
export const markedTasks = (
  { tasks }: Pick<KeptSchedule, 'tasks'>,
  { told, from, timeZone }: { told: Plan['told']; from: string; timeZone: string },
): MarkedTask[] => {
  const minuteOf = (instant: string | null) =>
    instant === null ? null : minutesSince(from, timeZone, new Date(instant))
  const markOf = new Map(told.map((mark) => [mark.taskId, mark]))
  return tasks.map((task) => {
    const { begunAt = null, doneAt = null } = markOf.get(task.id) ?? {}
    return { ...placedTaskOf(task), begun: minuteOf(begunAt), done: minuteOf(doneAt) }
  })
}

/** Days of a schedule on which cooks who are away do nothing, as it is said of them in the plan. */
export const daysAway = ({ away, from, days }: Pick<PlanDraft, 'away' | 'from' | 'days'>): KeptSchedule['days'] =>
  away.flatMap(({ cookId, day }) => {
    const place = daysBetween(from, day)
    return place < 0 || place >= days ? [] : [{ cookId, day: place, shifts: [] }]
  })

/** The cooks who are there, with their week. */
export const workCooks = (
  cooks: readonly Pick<WorkCook, 'id' | 'skills' | 'week'>[],
  { away, days }: { away: readonly string[]; days: KeptSchedule['days'] },
): WorkCook[] =>
  cooks.flatMap(({ id, skills, week }) => {
    if (away.includes(id)) return []
    const otherDays = days.flatMap(({ cookId, day, shifts }) => (cookId === id ? [[day, shifts] as const] : []))
    return [{ id, skills, week, days: Object.fromEntries(otherDays) }]
  })
