import { setTimeout } from 'node:timers/promises'
import type { Kitchen } from '@fleam/contract/kitchen'
import type { Plan, PlanRow } from '@fleam/contract/planning'
import type { PlanGoods } from '@fleam/core/planning'
import { Client } from './client.ts'
import { loadDemo } from './load.ts'
import type { PlanSource } from './plan-source.ts'
import type { ShippedPlan } from './shipped-plans.ts'

const HEARD_MS = 100

/**
 * Loads the demo into an empty Fleam, asks the solver for its plans, and returns them as they ship. Tells of each how
 * it was answered.
 */
export async function makePlans(url: string, now: Date, tell: (line: string) => void): Promise<ShippedPlan[]> {
  // Loading the demo asks no solver, and must not wait for one to be read.
  const { answerPlan, schedulePlan, shipPlan } = await import('./answer-plans.ts')
  const solved: PlanSource = {
    answer: async ({ client, path }, draft) => {
      const products = draft.menu.map(({ productId }) => productId).join(',')
      const goods = (await client.get<PlanGoods>(`${path}/plan-goods?products=${products}`)) as PlanGoods
      const { currency } = (await client.get<Kitchen>(path)) as Kitchen
      const left = { ...draft, lotsLeft: goods.stock.map(({ lotId }) => lotId) }
      const answer = await answerPlan(left, goods, currency)
      // The search holds this thread: the server has hung up meanwhile, and that has to be heard before the next request.
      await setTimeout(HEARD_MS)
      return { goods, answer }
    },
    schedule: (at, plan) => schedulePlan({ ...at, plan }),
  }
  await loadDemo(url, now, solved)
  const client = new Client(url)
  const shipped: ShippedPlan[] = []
  for (const { id } of (await client.get<Kitchen[]>('/api/kitchens')) ?? []) {
    const path = `/api/kitchens/${id}`
    for (const row of (await client.get<PlanRow[]>(`${path}/plans`)) ?? []) {
      const plan = (await client.get<Plan>(`${path}/plans/${row.id}`)) as Plan
      if (!plan.accepted) continue
      const { status, cost, bound, short } = plan.accepted.answer
      tell(`${plan.name}: ${status}, ${cost.total} at a bound of ${bound}, ${short.length} short`)
      shipped.push(await shipPlan(client, path, plan))
    }
  }
  return shipped
}
