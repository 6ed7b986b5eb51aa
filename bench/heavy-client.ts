import { v7 as newId } from 'uuid'

/** What clients ask again and again, from a process of their own: what they do must not slow the clock that measures. */
export interface HeavyWork {
  url: string
  method: string
  address: string
  body: string | null
  atOnce: number
}

const statuses = new Map<number, number>()
/** What is under way when it is over is broken off, as by clients that leave. */
const over = new AbortController()

async function ask({ url, method, address, body }: HeavyWork): Promise<void> {
  while (!over.signal.aborted) {
    // A document is another record each time.
    const addressOfNew = address.replace('?item=none', `?id=${newId()}&item=none`)
    const response = await fetch(url + addressOfNew, {
      method,
      signal: over.signal,
      ...(body === null ? {} : { headers: { 'content-type': 'application/json' }, body }),
    }).catch(() => null)
    await response?.arrayBuffer().catch(() => null)
    if (over.signal.aborted) return
    const status = response?.status ?? 0
    statuses.set(status, (statuses.get(status) ?? 0) + 1)
  }
}

process.once('message', async (work: HeavyWork) => {
  process.once('message', () => over.abort())
  await Promise.all(Array.from({ length: work.atOnce }, () => ask(work)))
  process.send?.([...statuses], () => process.disconnect())
})
