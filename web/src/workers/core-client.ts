import type { Work, WorkName } from '@fleam/contract/portioning/work'
import type { Forecast } from '@fleam/core/forecasting'
import { proxy, type Remote, wrap } from 'comlink'
import type { coreWork, ForecastRequest, OnStep } from './core-work.ts'
import type { PriceListPreview, PriceListText } from './price-list-preview.ts'
import { startWorker } from './start-worker.ts'

let started: Remote<typeof coreWork> | null = null

/** The one worker of a page, started when it is first asked. */
function core(): Remote<typeof coreWork> {
  started ??= wrap<typeof coreWork>(startWorker())
  return started
}

interface WorkOptions {
  /** Breaks the work off; the answer then never comes. */
  signal?: AbortSignal | undefined
  onProgress?: ((done: number, of: number) => void) | undefined
}

const NEVER = new Promise<never>(() => {})

/** Waits for an answer of the worker, unless it is broken off meanwhile. Throws what went wrong there. */
async function answerOf<Answer>(
  { signal, onProgress }: WorkOptions,
  work: (onStep: OnStep) => Promise<Answer | null>,
): Promise<Answer> {
  const isWanted = () => signal?.aborted !== true
  const onStep = proxy((done: number, of: number) => {
    if (isWanted()) onProgress?.(done, of)
    return isWanted()
  })
  const answer = await work(onStep)
  return answer === null || !isWanted() ? NEVER : answer
}

/** Reads a price list in the worker: what is wrong with it, and its first lines. */
export const readPriceListAside = (text: PriceListText, signal?: AbortSignal): Promise<PriceListPreview> =>
  answerOf({ signal }, () => core().readPriceList(text))

/** Draws a forecast in the worker. */
export const forecastAside = (request: ForecastRequest, options: WorkOptions): Promise<Forecast> =>
  answerOf(options, (onStep) => core().forecast(request, onStep))

/** Works something out in the worker: cuts, racks, a bonded log, plates. */
export const workAside = <N extends WorkName>(
  name: N,
  input: Work[N]['input'],
  options: WorkOptions = {},
): Promise<Work[N]['answer']> =>
  answerOf(options, (onStep) => core().work(name, input, onStep) as Promise<Work[N]['answer'] | null>)
