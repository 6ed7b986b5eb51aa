export type { ScheduleCost } from './cost.ts'
export type { ScheduleOptions } from './plan-schedule.ts'
export { planSchedule } from './plan-schedule.ts'
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
