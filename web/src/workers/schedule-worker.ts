import '../no-eval.ts'
import { planSchedule } from '@fleam/core/scheduling'
import { serveJob } from './job-worker.ts'
import { loadSolver } from './load-solver.ts'
import type { ScheduleJobRequest, ScheduleMessage } from './plan-protocol.ts'

/** Who waits for it takes a good one soon before a better one later. */
const PATIENCE_MS = 1_000

// The search runs to its end: whoever does not want to wait ends the worker.
serveJob<ScheduleJobRequest, ScheduleMessage>(async ({ request, held, seconds }, send) => {
  const onProgress = (best: Extract<ScheduleMessage, { type: 'best' }>['best']) => {
    send({ type: 'best', best })
    return undefined
  }
  const schedule = planSchedule(request, await loadSolver(), { held, seconds, patience: PATIENCE_MS, onProgress })
  send({ type: 'schedule', schedule })
})
