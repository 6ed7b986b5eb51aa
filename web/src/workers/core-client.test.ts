import { forecastAside, readPriceListAside } from './core-client.ts'
import type { WorkerReply, WorkerRequest } from './protocol.ts'

const sent: WorkerRequest[] = []
let listeners: ((event: { data: WorkerReply }) => void)[] = []

jest.mock('./start-worker.ts', () => ({
  startWorker: () => ({
    addEventListener: (_type: string, hear: (event: { data: WorkerReply }) => void) => listeners.push(hear),
    removeEventListener: (_type: string, hear: (event: { data: WorkerReply }) => void) => {
      listeners = listeners.filter((listener) => listener !== hear)
    },
    postMessage: (request: WorkerRequest) => sent.push(request),
  }),
}))

const say = (reply: WorkerReply) => {
  for (const hear of [...listeners]) hear({ data: reply })
}
const input = { csv: '', mapping: {} as never, context: {} as never, shown: 1 }
const draws = { model: {} as never, spreads: {} as never, draws: 10, seed: 0.1 }
const lastId = () => sent.at(-1)?.id as number

test('each answer finds its own request, in whatever order they come', async () => {
  const first = readPriceListAside(input)
  const firstId = lastId()
  const second = readPriceListAside(input)
  say({ id: lastId(), type: 'price-list', preview: { rows: 2, lines: [], issues: [], isWhole: true } })
  say({ id: firstId, type: 'price-list', preview: { rows: 1, lines: [], issues: [], isWhole: true } })
  expect([(await first).rows, (await second).rows]).toEqual([1, 2])
  expect(listeners).toEqual([])
})

test('progress is told on the way', async () => {
  const steps: number[] = []
  const forecast = forecastAside(draws, { onProgress: (done) => steps.push(done) })
  say({ id: lastId(), type: 'progress', done: 5, of: 10 })
  say({ id: lastId() + 1, type: 'progress', done: 9, of: 10 })
  say({ id: lastId(), type: 'forecast', forecast: { draws: 10 } as never })
  expect(await forecast).toEqual({ draws: 10 })
  expect(steps).toEqual([5])
})

test('a broken-off request is told to the worker, and nobody listens any more', () => {
  const leaving = new AbortController()
  void forecastAside(draws, { signal: leaving.signal })
  const id = lastId()
  leaving.abort()
  expect(sent.at(-1)).toEqual({ id, type: 'cancel' })
  expect(listeners).toEqual([])
})

test('a failure, or an answer of another kind, is an error', async () => {
  const failed = forecastAside(draws, {})
  say({ id: lastId(), type: 'failed', message: 'no' })
  await expect(failed).rejects.toThrow('no')
  const other = readPriceListAside(input)
  say({ id: lastId(), type: 'forecast', forecast: {} as never })
  await expect(other).rejects.toThrow('something else')
})
