import { setImmediate as nextTurn } from 'node:timers/promises'
import { expose } from 'comlink'
import { openChannel } from '../../test/message-channels.ts'
import { forecastAside, readPriceListAside, workAside } from './core-client.ts'
import type { coreWork } from './core-work.ts'

const { port1: page, port2: worker } = openChannel()
jest.mock('./start-worker.ts', () => ({ startWorker: () => page }))

/** What the worker does, and how many of its steps were asked for. */
let work: typeof coreWork
beforeAll(() =>
  expose(
    {
      readPriceList: (text: never) => work.readPriceList(text),
      forecast: (request: never, onStep: never) => work.forecast(request, onStep),
      work: (name: never, input: never, onStep: never) => work.work(name, input, onStep),
    },
    worker as never,
  ),
)

const text = { csv: '', mapping: {} as never, context: {} as never, shown: 1 }
const request = { model: {} as never, spreads: {} as never, draws: 10, seed: 0.1 }
/** Long enough for whatever is on its way through the channels to arrive. */
const soon = async () => {
  for (let turn = 0; turn < 20; turn++) await nextTurn()
}

test('each answer finds its own request, in whatever order they come', async () => {
  const answers: ((rows: number) => void)[] = []
  work = {
    readPriceList: () => new Promise((resolve) => answers.push((rows) => resolve({ rows } as never))),
  } as never
  const first = readPriceListAside(text)
  const second = readPriceListAside(text)
  while (answers.length < 2) await soon()
  answers[1]?.(2)
  answers[0]?.(1)
  expect([(await first).rows, (await second).rows]).toEqual([1, 2])
})

test('how far it is comes on the way, each to its own', async () => {
  work = {
    forecast: async ({ draws }: { draws: number }, onStep: (done: number, of: number) => Promise<boolean>) => {
      for (const part of [2, 1]) expect(await onStep(draws / part, draws)).toBe(true)
      return { draws }
    },
  } as never
  const steps: [string, number, number][] = []
  const [ten, four] = await Promise.all([
    forecastAside(request, { onProgress: (done, of) => steps.push(['ten', done, of]) }),
    forecastAside({ ...request, draws: 4 }, { onProgress: (done, of) => steps.push(['four', done, of]) }),
  ])
  expect([ten, four]).toEqual([{ draws: 10 }, { draws: 4 }])
  expect(steps.filter(([of]) => of === 'ten')).toEqual([
    ['ten', 5, 10],
    ['ten', 10, 10],
  ])
  expect(steps.filter(([of]) => of === 'four')).toHaveLength(2)
})

test('work that is broken off ends at its next step, and never answers', async () => {
  let steps = 0
  work = {
    forecast: async (_: unknown, onStep: (done: number, of: number) => Promise<boolean>) => {
      while (await onStep(++steps, 1_000)) await soon()
      return null
    },
  } as never
  const leaving = new AbortController()
  const settled = jest.fn()
  void forecastAside(request, { signal: leaving.signal }).then(settled, settled)
  while (steps === 0) await soon()
  leaving.abort()
  await soon()
  await soon()
  const ended = steps
  await soon()
  await soon()
  expect([steps, settled.mock.calls]).toEqual([ended, []])
})

test('what goes wrong in the worker is an error here', async () => {
  work = {
    work: async () => {
      throw new Error('no such piece')
    },
  } as never
  await expect(workAside('portion-plan', {} as never)).rejects.toThrow('no such piece')
})
