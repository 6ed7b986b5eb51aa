import type { PlanAsked, PlanTold } from './plan-protocol.ts'
import { startPlanWorker } from './start-plan-worker.ts'

/** A worker that has its solver loaded and nothing to do. */
let idle: Worker | null = null

/** Loads the solver before it is needed. */
export function warmPlanner(): void {
  idle ??= startPlanWorker()
}

/**
 * Makes a plan aside and tells what comes of it. Answers what breaks it off: a worker in the middle of its work cannot
 * hear that, so it is ended, and the next plan gets a new one.
 */
export function planAside(asked: PlanAsked, hear: (told: PlanTold) => void): () => void {
  const worker = idle ?? startPlanWorker()
  idle = null
  let isOver = false
  const end = (isDone: boolean) => {
    isOver = true
    worker.onmessage = null
    worker.onerror = null
    if (isDone && idle === null) idle = worker
    else worker.terminate()
  }
  worker.onmessage = ({ data }: MessageEvent<PlanTold>) => {
    if (data.type === 'done' || data.type === 'failed') end(data.type === 'done')
    hear(data)
  }
  worker.onerror = ({ message }) => {
    end(false)
    hear({ type: 'failed', message: message || 'The plan could not be made.' })
  }
  worker.postMessage(asked)
  return () => {
    if (!isOver) end(false)
  }
}
