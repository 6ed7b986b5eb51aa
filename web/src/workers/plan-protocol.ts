import type {
  AskedPlan,
  HeldTask,
  OrderPlan,
  PlanAim,
  ProgrammeProgress,
  Schedule,
  ScheduleCost,
  ScheduleRequest,
} from '@fleam/core'
import type { JobTold } from './job-worker.ts'

/** A plan that a page asks for: the time is for the plan and what stands beside it. */
export interface PlanAsked extends AskedPlan {
  seconds: number
}

/** What a worker tells of it, in this order: how far it is, the plan, what stands beside it, other aims. */
export type PlanTold =
  | { type: 'progress'; progress: ProgrammeProgress }
  | { type: 'plan'; plan: OrderPlan; isWhole: boolean }
  | { type: 'aim'; aim: PlanAim; plan: OrderPlan | null }
  | JobTold

/** A schedule that a page asks for. */
export interface ScheduleAsked {
  request: ScheduleRequest
  held: readonly HeldTask[]
  seconds: number
}

export type ScheduleTold = { type: 'best'; best: ScheduleCost } | { type: 'schedule'; schedule: Schedule } | JobTold
