import { JobWorkers } from './job-worker.ts'
import type { PlanJobRequest, PlanMessage, ScheduleJobRequest, ScheduleMessage } from './plan-protocol.ts'
import { startPlanWorker, startScheduleWorker } from './start-plan-worker.ts'

const plans = new JobWorkers<PlanJobRequest, PlanMessage>(startPlanWorker)
const schedules = new JobWorkers<ScheduleJobRequest, ScheduleMessage>(startScheduleWorker)

/** Loads the solver before it is needed. */
export const warmPlanner = (): void => plans.warm()

/** Makes an order plan aside; returns what breaks it off. */
export const planAside = (request: PlanJobRequest, onMessage: (message: PlanMessage) => void): (() => void) =>
  plans.run(request, onMessage)

/** Makes a schedule aside; returns what breaks it off. */
export const scheduleAside = (
  request: ScheduleJobRequest,
  onMessage: (message: ScheduleMessage) => void,
): (() => void) => schedules.run(request, onMessage)
