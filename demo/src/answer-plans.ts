import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { kitchenScheduleOperations } from '@fleam/contract/scheduling/operations'
import { styleOperations } from '@fleam/contract/style/operations'
import { type OrderPlan, type PlanDraft, type PlanGoods, planOrders, planRequest } from '@fleam/core/planning'
import type { KeptSchedule, Plan } from '@fleam/core/plans'
import { planJobs, workCooks } from '@fleam/core/plans'
import { placedInOrder, planSchedule, USUAL_WORK, workPlan } from '@fleam/core/scheduling'
import { solveWith } from '@fleam/core/solving'
import { taskNames } from '@fleam/core/wording'
import loadHighs from 'highs'
import type { KitchenClient } from './client.ts'
import type { PlanScript } from './plans.ts'
import { addPlanned, namesIn, toPortable } from './portable.ts'
import type { ShippedPlan } from './shipped-plans.ts'

/** Nobody waits for it: it is done once, and ships. */
const SECONDS = 240
const SCHEDULE_SECONDS = 60
const PATIENCE_MS = 20_000
const BEGINS = 8 * 60
const HOUR = 60

/** The answer of the solver to a plan of the demo. */
export async function answerPlan(draft: PlanDraft, goods: PlanGoods, currency: string): Promise<OrderPlan> {
  const { request } = planRequest(draft, goods, currency)
  return planOrders(
    request,
    solveWith(await loadHighs(), () => performance.now()),
    { seconds: SECONDS },
  )
}

interface Scheduled {
  client: KitchenClient
  plan: Plan
  script: PlanScript
}

/** The schedule of an accepted plan, as a chef would make it the day before. */
export async function schedulePlan({ client, plan, script }: Scheduled): Promise<KeptSchedule> {
  const { accepted } = plan
  if (!accepted) throw new Error(`${plan.name} is not accepted`)
  const { call, kitchenId } = client
  const items = await call(styleOperations.listItems, { kitchenId })
  const cooks = await call(kitchenOperations.listCooks, { kitchenId })
  const { timeZone } = await call(kitchenOperations.readKitchen, { kitchenId })
  const works = await call(kitchenScheduleOperations.readPlanWork, { kitchenId, planId: plan.id })
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
  const solve = solveWith(await loadHighs(), () => performance.now())
  const answer = planSchedule(work.request, solve, { seconds: SCHEDULE_SECONDS, patience: PATIENCE_MS })
  const tasks = placedInOrder(work, answer.tasks, taskNames(work, jobs))
  return { ...schedule, tasks }
}

/** A plan as it ships: what was accepted and scheduled of it, without ids and dates of this kitchen. */
export async function shipPlan(client: KitchenClient, { name, accepted, schedule }: Plan): Promise<ShippedPlan> {
  if (!accepted) throw new Error(`${name} is not accepted`)
  const { goods, answer, planned, draft } = accepted
  const names = await namesIn(client)
  addPlanned(names, planned, draft.from)
  return { name, ...(toPortable({ goods, answer, schedule }, names, draft.from) as Omit<ShippedPlan, 'name'>) }
}
