import type { Work, WorkName } from '@fleam/contract/portioning/work'
import type { Forecast } from '@fleam/core/forecasting'
import type { Remote } from 'comlink'
import type { coreWork, ForecastRequest, OnStep } from './core-work.ts'
import type { PriceListPreview, PriceListText } from './price-list-preview.ts'
import { startWorker } from './start-worker.ts'

type CoreWork = Remote<typeof coreWork>

let started: Promise<{ core: CoreWork; proxy: typeof import('comlink').proxy }> | null = null

/** The one worker of a page and how to speak with it, loaded when it is first asked. */
function start() {
  started ??= import('comlink').then(({ proxy, wrap }) => ({ core: wrap<typeof coreWork>(startWorker()), proxy }))
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
  work: (core: CoreWork, onStep: OnStep) => Promise<Answer | null>,
): Promise<Answer> {
  const { core, proxy } = await start()
  const isWanted = () => signal?.aborted !== true
  const onStep = proxy((done: number, of: number) => {
    if (isWanted()) onProgress?.(done, of)
    return isWanted()
  })
  const answer = await work(core, onStep)
  return answer === null || !isWanted() ? NEVER : answer
}

/** Reads a price list in the worker: what is wrong with it, and its first lines. */
export const readPriceListAside = (text: PriceListText, signal?: AbortSignal): Promise<PriceListPreview> =>
  answerOf({ signal }, (core) => core.readPriceList(text))

/** Draws a forecast in the worker. */
export const forecastAside = (request: ForecastRequest, options: WorkOptions): Promise<Forecast> =>
  answerOf(options, (core, onStep) => core.forecast(request, onStep))

/** Works something out in the worker: cuts, racks, a bonded log, plates. */
export const workAside = <N extends WorkName>(
  name: N,
  input: Work[N]['input'],
  options: WorkOptions = {},
): Promise<Work[N]['answer']> =>
  answerOf(options, (core, onStep) => core.work(name, input, onStep) as Promise<Work[N]['answer'] | null>)
