import type { OrderPlan, PlanDraft, PlanGoods } from '@fleam/core/planning'
import type { KeptSchedule, Plan } from '@fleam/core/plans'
import type { KitchenClient } from './client.ts'
import type { PlanScript } from './plans.ts'
import { addPlanned, fromPortable, namesIn } from './portable.ts'
import { shippedPlans } from './shipped-plans.ts'

/** Where answers and schedules of the demo's plans come from. */
export interface PlanSource {
  /** What is known of the products of a draft, and the answer to it. */
  answer: (at: Place, draft: PlanDraft) => Promise<{ goods: PlanGoods; answer: OrderPlan }>
  schedule: (at: Place, plan: Plan) => Promise<KeptSchedule>
}

export interface Place {
  client: KitchenClient
  script: PlanScript
}

/** The answers that ship, as they are in the kitchen that is loaded. */
export const shippedSource: PlanSource = {
  answer: async ({ client, script }, draft) => {
    const { goods, answer } = shippedOf(script)
    return fromPortable({ goods, answer }, await namesIn(client), draft.from)
  },
  schedule: async ({ client, script }, { accepted }) => {
    const names = await namesIn(client)
    const from = accepted?.draft.from ?? ''
    addPlanned(names, accepted?.planned ?? [], from)
    return fromPortable(shippedOf(script).schedule, names, from)
  },
}

function shippedOf({ name }: PlanScript) {
  const shipped = shippedPlans().find((shippedPlan) => shippedPlan.name === name)
  if (!shipped) throw new Error(`No answer ships for ${name}`)
  return shipped
}
