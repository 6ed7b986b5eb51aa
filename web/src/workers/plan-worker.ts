import '../no-eval.ts'
import { PLAN_AIMS, planFor, planOrders } from '@fleam/core/planning'
import { serveJob } from './job-worker.ts'
import { loadSolver } from './load-solver.ts'
import type { PlanJobRequest, PlanMessage } from './plan-protocol.ts'

/** Of the time of a plan, one for another aim gets so much. */
const AIM_SHARE = 0.3

/** So long it looks further while the plan is read, where it is not proven. */
const FURTHER_SECONDS = 60

// The solver runs to its end: whoever does not want to wait ends the worker.
serveJob<PlanJobRequest, PlanMessage>(async ({ request, pins, usual, seconds }, send) => {
  const solve = await loadSolver()
  const began = performance.now()
  const secondsSince = () => (performance.now() - began) / 1000
  let alone = 0
  const plan = planOrders(request, solve, {
    seconds,
    pins,
    usual,
    onProgress: (progress) => send({ type: 'progress', progress }),
    onPlan: (found) => {
      alone = secondsSince()
      send({ type: 'plan', plan: found, isWhole: false, seconds: alone })
    },
  })
  send({ type: 'plan', plan, isWhole: true, seconds: alone })
  for (const aim of PLAN_AIMS) {
    if (aim === 'cost' || plan.status === 'refused') continue
    send({ type: 'aim', aim, plan: planFor(aim, request, solve, { seconds: seconds * AIM_SHARE, pins }) })
  }
  if (plan.status === 'within-gap') {
    send({ type: 'further' })
    const further = planOrders(request, solve, { seconds: FURTHER_SECONDS, pins, usual })
    send({ type: 'better', plan: further, seconds: alone + FURTHER_SECONDS })
  }
})
