import '../no-eval.ts'
import { planSchedule } from '@fleam/core/scheduling'
import { loadSolver } from './load-solver.ts'
import type { ScheduleAsked, ScheduleTold } from './plan-protocol.ts'

/** Who waits for it takes a good one soon before a better one later. */
const PATIENCE_MS = 1_000

const tell = (told: ScheduleTold) => self.postMessage(told)

/** The search runs to its end: whoever does not want to wait ends the worker. */
async function make({ request, held, seconds }: ScheduleAsked): Promise<void> {
  const onProgress = (best: Extract<ScheduleTold, { type: 'best' }>['best']) => {
    tell({ type: 'best', best })
    return undefined
  }
  tell({
    type: 'schedule',
    schedule: planSchedule(request, await loadSolver(), { held, seconds, patience: PATIENCE_MS, onProgress }),
  })
  tell({ type: 'done' })
}

self.onmessage = ({ data }: MessageEvent<ScheduleAsked>) => {
  make(data).catch((error: Error) => tell({ type: 'failed', message: error.message }))
}
