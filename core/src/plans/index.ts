/** A plan as a kitchen keeps it: what was accepted, who does it when, and what is left of it. */
export { asAccepted } from './as-accepted.ts'
export { dayTasks } from './day-tasks.ts'
export { daysAway, markedTasks, planJobs, workCooks } from './jobs.ts'
export type {
  DaySchedule,
  DayTask,
  KeptSchedule,
  ScheduleEdit,
  SchedulesStanding,
  StylesWork,
  ToldTask,
} from './kept-schedule.ts'
export {
  daySchedule,
  keptSchedule,
  scheduleEdit,
  schedulesStanding,
  stylesWork,
  toldTask,
} from './kept-schedule.ts'
export type { ExpectedLine, Plan, PlanAccepted, PlanEdit, PlannedEdit, PlannedFabrication, PlanRow } from './plan.ts'
export {
  arrival,
  expectedLine,
  expectedLines,
  plan,
  planAccepted,
  planCreated,
  planEdit,
  plannedEdit,
  plannedFabrication,
  plannedFabrications,
  planRow,
  planRows,
} from './plan.ts'
export { cuttingBeside, draftOfRest, isOnItsWay, isWaiting } from './rest.ts'
export { scheduleCalendar } from './schedule-calendar.ts'
export type { SetUp } from './set-ups.ts'
export { setUpsOf } from './set-ups.ts'
