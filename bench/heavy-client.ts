import { parentPort, workerData } from 'node:worker_threads'
import { v7 as newId } from 'uuid'

/** What clients ask again and again, from a thread of their own: what they do must not slow the clock that measures. */
export interface HeavyWork {
  url: string
  method: string
  path: string
  body: string | null
  atOnce: number
}

const { url, method, path, body, atOnce } = workerData as HeavyWork
const statuses = new Map<number, number>()
let isOver = false

async function ask(): Promise<void> {
  while (!isOver) {
    // A document is another record each time.
    const own = path.includes('/fabrications/import') ? `${path}&id=${newId()}` : path
    const response = await fetch(url + own, {
      method,
      ...(body === null ? {} : { headers: { 'content-type': 'application/json' }, body }),
    }).catch(() => null)
    await response?.arrayBuffer().catch(() => null)
    const status = response?.status ?? 0
    statuses.set(status, (statuses.get(status) ?? 0) + 1)
  }
}

parentPort?.once('message', () => {
  isOver = true
})
await Promise.all(Array.from({ length: atOnce }, ask))
parentPort?.postMessage([...statuses])
