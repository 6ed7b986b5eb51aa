import { JobWorkers } from './job-worker.ts'
import type { PlanAsked, PlanTold, ScheduleAsked, ScheduleTold } from './plan-protocol.ts'
import { startPlanWorker, startScheduleWorker } from './start-plan-worker.ts'

const plans = new JobWorkers<PlanAsked, PlanTold>(startPlanWorker)
const schedules = new JobWorkers<ScheduleAsked, ScheduleTold>(startScheduleWorker)

/** Loads the solver before it is needed. */
export const warmPlanner = (): void => plans.warm()

/** Makes an order plan aside; answers what breaks it off. */
export const planAside = (asked: PlanAsked, hear: (told: PlanTold) => void): (() => void) => plans.run(asked, hear)

/** Makes a schedule aside; answers what breaks it off. */
export const scheduleAside = (asked: ScheduleAsked, hear: (told: ScheduleTold) => void): (() => void) =>
  schedules.run(asked, hear)
