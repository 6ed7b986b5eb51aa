export type { FaultRule, ScheduleFault } from './faults.ts'
export { scheduleFaults } from './faults.ts'
export type { PlannedJob, WorkCook, WorkKind, WorkPlan, WorkSettings, WorkTask } from './planned-tasks.ts'
export { MINUTES_OF_A_DAY, USUAL_WORK, workPlan } from './planned-tasks.ts'
