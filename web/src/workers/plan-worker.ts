import '../no-eval.ts'
import { PLAN_AIMS, planFor, planOrders } from '@fleam/core'
import { loadMixedSolver } from './load-solver.ts'
import type { PlanAsked, PlanTold } from './plan-protocol.ts'

const tell = (told: PlanTold) => self.postMessage(told)

/** Of the time of a plan, one for another aim gets so much. */
const AIM_SHARE = 0.3

/** The solver runs to its end: whoever does not want to wait ends the worker. */
async function make({ request, pins, seconds }: PlanAsked): Promise<void> {
  const solve = await loadMixedSolver()
  const plan = planOrders(request, solve, {
    seconds,
    pins,
    onProgress: (progress) => tell({ type: 'progress', progress }),
    onPlan: (alone) => tell({ type: 'plan', plan: alone, isWhole: false }),
  })
  tell({ type: 'plan', plan, isWhole: true })
  for (const aim of PLAN_AIMS) {
    if (aim === 'cost' || plan.status === 'refused') continue
    tell({ type: 'aim', aim, plan: planFor(aim, request, solve, { seconds: seconds * AIM_SHARE, pins }) })
  }
  tell({ type: 'done' })
}

self.onmessage = ({ data }: MessageEvent<PlanAsked>) => {
  make(data).catch((error: Error) => tell({ type: 'failed', message: error.message }))
}
