import type { PriceListPreview, WorkerReply, WorkerRequest } from './protocol.ts'

let worker: Worker | null = null
let lastId = 0

function running(): Worker {
  worker ??= new Worker(new URL('./core-worker.ts', import.meta.url), { type: 'module' })
  return worker
}

type Wish<T> = T extends { id: number } ? Omit<T, 'id'> : never

/** Asks the worker; an answer that nobody waits for any more is passed over. */
function ask(wish: Wish<WorkerRequest>, signal?: AbortSignal): Promise<WorkerReply> {
  const id = ++lastId
  const to = running()
  return new Promise((resolve, reject) => {
    const leave = () => to.removeEventListener('message', hear)
    const hear = ({ data }: MessageEvent<WorkerReply>) => {
      if (data.id !== id) return
      leave()
      if (data.type === 'failed') reject(new Error(data.message))
      else resolve(data)
    }
    signal?.addEventListener('abort', leave, { once: true })
    to.addEventListener('message', hear)
    to.postMessage({ ...wish, id })
  })
}

/** Reads a price list in the worker: what is wrong with it, and its first lines. */
export async function readPriceListAside(
  wish: Omit<Extract<WorkerRequest, { type: 'read-price-list' }>, 'id' | 'type'>,
  signal?: AbortSignal,
): Promise<PriceListPreview> {
  const reply = await ask({ type: 'read-price-list', ...wish }, signal)
  if (reply.type !== 'price-list') throw new Error('The worker answered something else.')
  return reply.preview
}
