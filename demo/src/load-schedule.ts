import {
  type Cook,
  type Item,
  type KeptSchedule,
  type Kitchen,
  type Plan,
  planJobs,
  type StylesWork,
  workCooks,
} from '@fleam/contract'
import {
  placedInOrder,
  planSchedule,
  solveMixedWith,
  taskNames,
  USUAL_WORK,
  usualStyleWork,
  workPlan,
} from '@fleam/core'
import loadHighs from 'highs'
import type { Client } from './client.ts'
import type { PlanScript } from './plans.ts'

const SECONDS = 2
const PATIENCE_MS = 700
const BEGINS = 8 * 60
const HOUR = 60

interface Scheduled {
  client: Client
  path: string
  plan: Plan
  script: PlanScript
}

/** Makes the schedule of an accepted plan, as a chef would the day before. */
export async function loadSchedule({ client, path, plan, script }: Scheduled): Promise<Plan> {
  const { accepted } = plan
  if (!accepted) return plan
  const items = (await client.get<Item[]>(`${path}/items`)) ?? []
  const cooks = (await client.get<Cook[]>(`${path}/cooks`)) ?? []
  const { timeZone } = (await client.get<Kitchen>(path)) as Kitchen
  await lineOf({ client, path, plan, script }, items)
  const works = (await client.get<StylesWork>(`${path}/plans/${plan.id}/work`)) ?? []
  const { days: onDays, hours } = script.allHands ?? { days: [], hours: 0 }
  const schedule: KeptSchedule = {
    settings: { ...USUAL_WORK, boards: script.line ? script.line.cooks : USUAL_WORK.boards },
    late: [],
    days: onDays.flatMap((day) =>
      cooks.map(({ id }) => ({ cookId: id, day, shifts: [[BEGINS, BEGINS + hours * HOUR] as [number, number]] })),
    ),
    tasks: [],
  }
  const jobs = planJobs(accepted, { items, works, schedule, timeZone })
  const work = workPlan(jobs, {
    ...{ from: accepted.draft.from, days: accepted.draft.days, settings: schedule.settings, now: 0 },
    cooks: workCooks(cooks, { away: [], days: schedule.days }),
  })
  const solve = solveMixedWith(await loadHighs())
  const made = planSchedule(work.request, solve, { seconds: SECONDS, patience: PATIENCE_MS })
  const nameOf = taskNames(work, jobs)
  const tasks = placedInOrder(work, made.tasks).map(({ cook, ...task }) => ({
    ...task,
    ...{ cookId: cook, what: nameOf(task.id) },
  }))
  return client.send<Plan>('PUT', `${path}/plans/${plan.id}/schedule`, {
    version: plan.version,
    schedule: { ...schedule, tasks },
  })
}

/** Says that the styles of a plan are cut by a line, with helpers who carry. */
async function lineOf({ client, path, plan, script }: Scheduled, items: readonly Item[]): Promise<void> {
  if (!script.line || !plan.accepted) return
  for (const styleId of new Set(plan.accepted.planned.map((planned) => planned.styleId))) {
    const style = items.flatMap(({ styles }) => styles).find(({ id }) => id === styleId)
    const hasBones = style?.piles.some(({ kind }) => kind === 'bones') ?? false
    const work = usualStyleWork({ isBonded: false, hasBones }, USUAL_WORK)
    await client.send('PUT', `${path}/styles/${styleId}/work`, {
      ...work,
      line: script.line.cooks,
      carriers: script.line.carriers,
    })
  }
}
