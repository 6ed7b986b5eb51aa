import type { AskedPlan, OrderPlan, PlanAim, UsualWays } from '@fleam/core/planning'
import type { HeldTask, Schedule, ScheduleCost, ScheduleRequest } from '@fleam/core/scheduling'
import type { ProgrammeProgress } from '@fleam/core/solving'
import type { JobEnd } from './job-worker.ts'

/** A plan that a page asks for: the time is for the plan and what stands beside it. */
export interface PlanJobRequest extends AskedPlan {
  seconds: number
  /** How it was done before; null where no week was accepted. */
  usual: UsualWays | null
}

/**
 * What a worker sends of it, in this order: how far it is, the plan, what stands beside it, other aims; where it is not
 * proven, that it looks further, and what it found then. Seconds are those that were looked for.
 */
export type PlanMessage =
  | { type: 'progress'; progress: ProgrammeProgress }
  | { type: 'plan'; plan: OrderPlan; isWhole: boolean; seconds: number }
  | { type: 'aim'; aim: PlanAim; plan: OrderPlan | null }
  | { type: 'further' }
  | { type: 'better'; plan: OrderPlan; seconds: number }
  | JobEnd

/** A schedule that a page asks for. */
export interface ScheduleJobRequest {
  request: ScheduleRequest
  held: readonly HeldTask[]
  seconds: number
}

export type ScheduleMessage = { type: 'best'; best: ScheduleCost } | { type: 'schedule'; schedule: Schedule } | JobEnd
