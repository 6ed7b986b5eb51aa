import { addDays } from '@fleam/core/calendar'
import type { DaySchedule, KeptSchedule, Plan, ScheduleEdit, SchedulesStanding, ToldTask } from '@fleam/core/plans'
import { dayTasks, scheduleCalendar } from '@fleam/core/plans'
import { type StyleWork, scheduleMinutes } from '@fleam/core/scheduling'
import { cooks, requireCook } from '../kitchen/index.ts'
import {
  changePlan,
  expectedIds,
  goodsOf,
  plan,
  planned,
  plannedIds,
  planRows,
  refuse,
  requirePlan,
  schedulesAround,
  toldOf,
  updatePlan,
} from '../planning/index.ts'
import { dayOf, inTransaction, type Scope } from '../scope/index.ts'
import { requireStyle } from '../style/index.ts'
import { type PaperLists, paperLists } from './lists.ts'
import { placedWork } from './placed-work.ts'
import * as store from './store.ts'

/** Keeps who does what when, at the version of the plan that was read. */
export const updateSchedule = (scope: Scope, id: string, { version, schedule }: ScheduleEdit): Promise<Plan> =>
  changePlan(scope, id, version, async (inside, { accepted }) => {
    if (!accepted) refuse('id', 'is not accepted: there is nothing to do yet')
    await refuseOfOtherPlans(inside, id, { days: accepted.draft.days, schedule })
    await updatePlan(inside, id, { schedule, version: version + 1 })
  })

/** What a schedule says is of its own plan: its fabrications, deliveries and days, and cooks of this kitchen. */
async function refuseOfOtherPlans(
  scope: Scope,
  planId: string,
  { days, schedule }: { days: number; schedule: KeptSchedule },
): Promise<void> {
  const { tasks, late, days: shifts } = schedule
  const jobs = await plannedIds(scope, planId)
  const lines = await expectedIds(scope, planId)
  const cookIds = new Set((await cooks(scope)).map((cook) => cook.id))
  tasks.forEach(({ jobId, cookId }, index) => {
    if (!jobs.has(jobId)) refuse(`schedule.tasks[${index}].jobId`, 'is no planned fabrication of this plan')
    if (cookId !== null && !cookIds.has(cookId)) refuse(`schedule.tasks[${index}].cookId`, 'is no cook of this kitchen')
  })
  late.forEach(({ expectedLineId }, index) => {
    if (!lines.has(expectedLineId)) refuse(`schedule.late[${index}].expectedLineId`, 'is no delivery of this plan')
  })
  shifts.forEach(({ cookId, day }, index) => {
    if (!cookIds.has(cookId)) refuse(`schedule.days[${index}].cookId`, 'is no cook of this kitchen')
    if (day >= days) refuse(`schedule.days[${index}].day`, 'is none of the days of this plan')
  })
}

/** Keeps what a hand told of one task; two hands at two tasks never meet. */
export async function updateTold(scope: Scope, id: string, told: ToldTask): Promise<Plan> {
  return inTransaction(scope, async (inside) => {
    const { schedule } = await requirePlan(inside, id, { isLocked: true })
    if (!schedule?.tasks.some((task) => task.id === told.taskId)) refuse('taskId', 'is no task of this schedule')
    await store.saveTold(inside, id, told)
    return plan(inside, id)
  })
}

/** Who does what when as a calendar, of one cook or of all; one without a schedule is empty. */
export async function calendar(scope: Scope, id: string, cookId: string | null): Promise<string> {
  const { accepted, schedule } = await requirePlan(scope, id)
  if (cookId !== null) await requireCook(scope, cookId)
  const from = accepted?.draft.from ?? ''
  const nameOf = new Map((await cooks(scope)).map((cook) => [cook.id, cook.name]))
  const { timeZone } = scope.kitchen
  return scheduleCalendar(accepted && schedule ? schedule.tasks : [], { cookId, nameOf, from, timeZone })
}

/** How the schedules of plans stand that are not over. */
export async function schedulesStanding(scope: Scope): Promise<SchedulesStanding> {
  const today = dayOf(scope)
  const rows = await planRows(scope)
  const standing: SchedulesStanding = []
  for (const { id, from, days, acceptedAt } of rows) {
    if (acceptedAt === null || addDays(from, days) <= today) continue
    const placed = await placedWork(scope, await plan(scope, id))
    if (!placed) continue
    standing.push({ planId: id, lateMinutes: scheduleMinutes(placed.work.request, placed.placed, 'late') })
  }
  return standing
}

/** The lists of a schedule as they go on paper. */
export async function lists(scope: Scope, id: string, options: Parameters<typeof paperLists>[2]): Promise<PaperLists> {
  if (options.cookId !== null) await requireCook(scope, options.cookId)
  return paperLists(scope, await plan(scope, id), options)
}

/**
 * What the styles of a plan take before and after the board, and minutes by cooks: of one that is not accepted all styles
 * that could be cut for it.
 */
export async function planWork(scope: Scope, id: string) {
  const { accepted, draft } = await requirePlan(scope, id)
  const rows = accepted
    ? await planned(scope, { planId: id })
    : (await goodsOf(scope, { products: draft.menu.map(({ productId }) => productId), replaces: null })).cuts
  return store.stylesWork(scope, [...new Set(rows.map(({ styleId }) => styleId))])
}

/** Changes what a style takes before and after the board; throws `not-found`. */
export async function updateStyleWork(scope: Scope, styleId: string, work: StyleWork): Promise<StyleWork> {
  await requireStyle(scope, styleId)
  await store.saveStyleWork(scope, styleId, work)
  return work
}

/** The tasks of a day of all accepted plans, moved to where the bench and the hands have brought them. */
export async function daySchedule(scope: Scope, asked: string | null): Promise<DaySchedule> {
  const day = asked ?? dayOf(scope)
  const { timeZone } = scope.kitchen
  const kept = await schedulesAround(scope, day)
  const rows = kept.length === 0 ? [] : await planned(scope, { planId: kept.map(({ id }) => id) })
  const marks = await toldOf(
    scope,
    kept.map(({ id }) => id),
  )
  const tasks = kept.flatMap((plan) =>
    dayTasks(
      {
        ...plan,
        told: marks.filter(({ planId }) => planId === plan.id),
        planned: rows.filter(({ planId }) => planId === plan.id),
      },
      { day, now: scope.clock.now(), timeZone },
    ),
  )
  return { day, tasks: tasks.sort((a, b) => a.start - b.start || a.id.localeCompare(b.id)) }
}
