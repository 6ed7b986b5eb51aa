import '../no-eval.ts'
import { PLAN_AIMS, planFor, planOrders } from '@fleam/core/planning'
import { loadSolver } from './load-solver.ts'
import type { PlanAsked, PlanTold } from './plan-protocol.ts'

const tell = (told: PlanTold) => self.postMessage(told)

/** Of the time of a plan, one for another aim gets so much. */
const AIM_SHARE = 0.3

/** So long it looks further while the plan is read, where it is not proven. */
const FURTHER_SECONDS = 60

/** The solver runs to its end: whoever does not want to wait ends the worker. */
async function make({ request, pins, usual, seconds }: PlanAsked): Promise<void> {
  const solve = await loadSolver()
  const began = performance.now()
  const looked = () => (performance.now() - began) / 1000
  let alone = 0
  const plan = planOrders(request, solve, {
    seconds,
    pins,
    usual,
    onProgress: (progress) => tell({ type: 'progress', progress }),
    onPlan: (found) => {
      alone = looked()
      tell({ type: 'plan', plan: found, isWhole: false, seconds: alone })
    },
  })
  tell({ type: 'plan', plan, isWhole: true, seconds: alone })
  for (const aim of PLAN_AIMS) {
    if (aim === 'cost' || plan.status === 'refused') continue
    tell({ type: 'aim', aim, plan: planFor(aim, request, solve, { seconds: seconds * AIM_SHARE, pins }) })
  }
  if (plan.status === 'within-gap') {
    tell({ type: 'further' })
    const further = planOrders(request, solve, { seconds: FURTHER_SECONDS, pins, usual })
    tell({ type: 'better', plan: further, seconds: alone + FURTHER_SECONDS })
  }
  tell({ type: 'done' })
}

self.onmessage = ({ data }: MessageEvent<PlanAsked>) => {
  make(data).catch((error: Error) => tell({ type: 'failed', message: error.message }))
}
