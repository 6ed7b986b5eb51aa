/** Starts a worker that makes order plans; apart, because only a bundler knows its address. */
export const startPlanWorker = (): Worker =>
  new Worker(new URL('./plan-worker.ts', import.meta.url), { type: 'module' })

/** Starts a worker that makes schedules. */
export const startScheduleWorker = (): Worker =>
  new Worker(new URL('./schedule-worker.ts', import.meta.url), { type: 'module' })
