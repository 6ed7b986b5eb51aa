import type { Work, WorkName } from '@fleam/contract/portioning/work'
import type { Forecast } from '@fleam/core/forecasting'
import type { PriceListPreview, WorkerReply, WorkerRequest } from './protocol.ts'
import { startWorker } from './start-worker.ts'

let worker: Worker | null = null
let lastId = 0

function running(): Worker {
  worker ??= startWorker()
  return worker
}

type Request<T> = T extends { id: number } ? Omit<T, 'id'> : never

interface AskOptions {
  /** Breaks the work off; the answer then never comes. */
  signal?: AbortSignal | undefined
  onProgress?: ((done: number, of: number) => void) | undefined
}

/** Asks the worker and waits for the answer of one kind. */
function ask<T extends WorkerReply['type']>(
  type: T,
  input: Request<WorkerRequest>,
  { signal, onProgress }: AskOptions = {},
): Promise<Extract<WorkerReply, { type: T }>> {
  const id = ++lastId
  const to = running()
  return new Promise((resolve, reject) => {
    const leave = () => to.removeEventListener('message', hear)
    const hear = ({ data }: MessageEvent<WorkerReply>) => {
      if (data.id !== id) return
      if (data.type === 'progress') return onProgress?.(data.done, data.of)
      leave()
      if (data.type === type) resolve(data as Extract<WorkerReply, { type: T }>)
      else reject(new Error(data.type === 'failed' ? data.message : 'The worker answered something else.'))
    }
    signal?.addEventListener(
      'abort',
      () => {
        leave()
        to.postMessage({ id, type: 'cancel' } satisfies WorkerRequest)
      },
      { once: true },
    )
    to.addEventListener('message', hear)
    to.postMessage({ ...input, id })
  })
}

type RequestOf<T extends WorkerRequest['type']> = Omit<Extract<WorkerRequest, { type: T }>, 'id' | 'type'>

/** Reads a price list in the worker: what is wrong with it, and its first lines. */
export async function readPriceListAside(
  input: RequestOf<'read-price-list'>,
  signal?: AbortSignal,
): Promise<PriceListPreview> {
  return (await ask('price-list', { type: 'read-price-list', ...input }, { signal })).preview
}

/** Draws a forecast in the worker, telling how far it is. */
export async function forecastAside(input: RequestOf<'forecast'>, options: AskOptions): Promise<Forecast> {
  return (await ask('forecast', { type: 'forecast', ...input }, options)).forecast
}

/** Works something out in the worker: cuts, racks, a bonded log, plates. */
export async function workAside<N extends WorkName>(
  name: N,
  input: Work[N]['input'],
  options: AskOptions = {},
): Promise<Work[N]['answer']> {
  const asked = { type: 'work', name, input } as Request<WorkerRequest>
  return (await ask('worked', asked, options)).answer as Work[N]['answer']
}
