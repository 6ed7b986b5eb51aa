import type { AskedPlan, OrderPlan, PlanAim, ProgrammeProgress } from '@fleam/core'

/** A plan that a page asks for: the time is for the plan and what stands beside it. */
export interface PlanAsked extends AskedPlan {
  seconds: number
}

/** What a worker tells of it, in this order: how far it is, the plan, what stands beside it, other aims. */
export type PlanTold =
  | { type: 'progress'; progress: ProgrammeProgress }
  | { type: 'plan'; plan: OrderPlan; isWhole: boolean }
  | { type: 'aim'; aim: PlanAim; plan: OrderPlan | null }
  | { type: 'done' }
  | { type: 'failed'; message: string }
