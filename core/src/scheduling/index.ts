export type { ScheduleCost } from './cost.ts'
export type { ScheduleOptions } from './plan-schedule.ts'
export { planSchedule } from './plan-schedule.ts'
export type {
  FaultRule,
  PlannedJob,
  ScheduleFault,
  WorkCook,
  WorkKind,
  WorkPlan,
  WorkSettings,
  WorkTask,
} from './planned/index.ts'
export { MINUTES_OF_A_DAY, scheduleFaults, USUAL_WORK, workPlan } from './planned/index.ts'
export type {
  CleanDown,
  HeldTask,
  Impossible,
  PlacedTask,
  Schedule,
  ScheduleAfter,
  ScheduleCook,
  ScheduleRequest,
  ScheduleSpecies,
  ScheduleStation,
  ScheduleTask,
} from './schedule.ts'
