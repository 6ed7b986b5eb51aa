import { setTimeout } from 'node:timers/promises'
import { callAt } from '@fleam/contract/fetch-client'
import { kitchenOperations } from '@fleam/contract/kitchen/operations'
import { planOperations } from '@fleam/contract/planning/operations'
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
    answer: async ({ client: { call, kitchenId } }, draft) => {
      const products = draft.menu.map(({ productId }) => productId).join(',')
      const goods = await call(planOperations.readPlanGoods, { kitchenId, query: { products } })
      const { currency } = await call(kitchenOperations.readKitchen, { kitchenId })
      const left = { ...draft, lotsLeft: goods.stock.map(({ lotId }) => lotId) }
      const answer = await answerPlan(left, goods, currency)
      // The search holds this thread: the server has hung up meanwhile, and that has to be heard before the next request.
      await setTimeout(HEARD_MS)
      return { goods, answer }
    },
    schedule: (at, plan) => schedulePlan({ ...at, plan }),
  }
  await loadDemo(url, now, solved)
  const call = callAt(url)
  const shipped: ShippedPlan[] = []
  for (const { id: kitchenId } of await call(kitchenOperations.listKitchens, {})) {
    for (const row of await call(planOperations.listPlans, { kitchenId })) {
      const plan = await call(planOperations.readPlan, { kitchenId, planId: row.id })
      if (!plan.accepted) continue
      const { status, cost, bound, short } = plan.accepted.answer
      tell(`${plan.name}: ${status}, ${cost.total} at a bound of ${bound}, ${short.length} short`)
      shipped.push(await shipPlan({ call, kitchenId }, plan))
    }
  }
  return shipped
}
