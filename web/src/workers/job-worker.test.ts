import { setImmediate as nextTurn } from 'node:timers/promises'
import { expose } from 'comlink'
import { openChannel } from '../../test/message-channels.ts'
import { type JobEnd, JobWorkers } from './job-worker.ts'

interface Step {
  type: 'step'
  at: number
}
type Send = (message: Step) => void
type Run = (steps: number, send: Send) => Promise<void>

let ended: number
let started: number
/** A worker of which only the thread is missing: it counts to what it is asked for. */
function startWorker(run: Run): Worker {
  const { port1, port2 } = openChannel()
  expose({ run }, port2 as never)
  started++
  return Object.assign(port1, {
    onerror: null,
    terminate: () => {
      ended++
      port2.close()
    },
  }) as never
}
beforeEach(() => {
  started = 0
  ended = 0
})

const count: Run = async (steps, send) => {
  const arrived: unknown[] = []
  for (let at = 1; at <= steps; at++) arrived.push(send({ type: 'step', at }))
  await Promise.all(arrived)
}
const until = async (is: () => boolean) => {
  while (!is()) await nextTurn()
}
const isOver = (messages: readonly (Step | JobEnd)[]) => ['done', 'failed'].includes(messages.at(-1)?.type ?? '')

test('what comes of a job comes in order, then that it is done; the worker is kept for the next', async () => {
  const workers = new JobWorkers<number, Step>(() => startWorker(count))
  for (const steps of [3, 2]) {
    const messages: (Step | JobEnd)[] = []
    workers.run(steps, (message) => messages.push(message))
    await until(() => isOver(messages))
    expect(messages.map((message) => (message.type === 'step' ? message.at : message.type))).toEqual(
      [1, 2, 3]
        .slice(0, steps)
        .map(Number)
        .concat('done' as never),
    )
  }
  expect([started, ended]).toEqual([1, 0])
})

test('one that is broken off is ended, and nothing comes of it any more', async () => {
  const workers = new JobWorkers<number, Step>(() =>
    startWorker(async (_, send) => {
      for (let at = 1; ; at++) await send({ type: 'step', at })
    }),
  )
  const messages: (Step | JobEnd)[] = []
  const breakOff = workers.run(1, (message) => messages.push(message))
  await until(() => messages.length > 1)
  breakOff()
  const there = messages.length
  for (let turn = 0; turn < 20; turn++) await nextTurn()
  expect([messages.length, ended]).toEqual([there, 1])
})

test('one that fails says why, is ended, and the next job gets a new one', async () => {
  const workers = new JobWorkers<number, Step>(() =>
    startWorker(async () => {
      throw new Error('no solution')
    }),
  )
  for (const jobs of [1, 2]) {
    const messages: (Step | JobEnd)[] = []
    workers.run(1, (message) => messages.push(message))
    await until(() => isOver(messages))
    expect([messages, started, ended]).toEqual([[{ type: 'failed', message: 'no solution' }], jobs, jobs])
  }
})

test('a worker that cannot be loaded fails', () => {
  let worker: Worker | undefined
  const workers = new JobWorkers<number, Step>(() => {
    worker = startWorker(count)
    return worker
  })
  const messages: (Step | JobEnd)[] = []
  workers.run(1, (message) => messages.push(message))
  worker?.onerror?.({ message: '' } as ErrorEvent)
  expect([messages, ended]).toEqual([[{ type: 'failed', message: 'It could not be worked out.' }], 1])
})
