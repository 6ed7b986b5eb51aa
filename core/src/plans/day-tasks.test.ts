import { dayTasks, type ScheduledPlan } from './day-tasks.ts'

const JOB = '019b76da-a8f2-7000-8003-cbb2874dc7a1'
const DROPPED = '019b76da-a8f2-7000-8003-cbb2874dc7a2'
const COOK = '019b76da-a8f2-7000-8003-cbb2874dc7a3'
const DAY = 24 * 60

const kept = (id: string, kind: 'cut' | 'stock' | 'stock-on', start: number, end: number, jobId = JOB) => ({
  ...{ id, jobId, what: `Duck, ${id}`, kind, upTo: kind === 'cut' ? 6 : null, start, end },
  ...{ cookId: kind === 'cut' ? COOK : null, station: null },
})
const WAITING = { isDropped: false, fabricationId: null, real: null }
/** Two days: cut on the first, the pot through the night to the second. */
const PLAN: ScheduledPlan = {
  id: 'plan',
  name: 'The week',
  from: '2026-11-24',
  schedule: {
    tasks: [
      kept('cut', 'cut', 480, 540),
      kept('on', 'stock-on', 1380, 1390),
      kept('pot', 'stock', 1390, DAY + 200),
      kept('other', 'cut', 600, 660, DROPPED),
    ],
  },
  told: [],
  planned: [
    { id: JOB, ...WAITING },
    { id: DROPPED, ...WAITING, isDropped: true },
  ],
}
const at = (day: string, time: string, changes: Partial<ScheduledPlan> = {}) =>
  dayTasks({ ...PLAN, ...changes }, { day, now: new Date(`${day}T${time}:00.000Z`), timeZone: 'Europe/Vienna' })

test('a day has its own tasks and what passes midnight, from its own midnight, and nothing that was dropped', () => {
  expect(at('2026-11-24', '06:00').map(({ id, start, end }) => [id, start, end])).toEqual([
    ['cut', 480, 540],
    ['on', 1380, 1390],
    ['pot', 1390, DAY + 200],
  ])
  expect(at('2026-11-25', '01:00').map(({ id, start, end }) => [id, start, end])).toEqual([['pot', -50, 200]])
  expect(at('2026-11-26', '06:00')).toEqual([])
})

test('cooks are ids, and whoever is on duty is none', () => {
  expect(at('2026-11-24', '06:00').map(({ id, cookId }) => [id, cookId])).toEqual([
    ['cut', COOK],
    ['on', null],
    ['pot', null],
  ])
})

test('what a hand told moves it, and stands beside it as it was told', () => {
  const told = [{ taskId: 'on', begunAt: '2026-11-24T21:00:00.000Z', doneAt: '2026-11-24T21:10:00.000Z' }]
  const [, on, pot] = at('2026-11-24', '21:30', { told })
  // Ten in the evening in Vienna; the pot is on from ten past.
  expect(on).toMatchObject({
    state: 'done',
    start: 1320,
    end: 1330,
    begunAt: told[0]?.begunAt,
    doneAt: told[0]?.doneAt,
  })
  expect(pot).toMatchObject({ state: 'running', start: 1330, begunAt: null })
})

test('what is on the board has its record, and reaches at least until now', () => {
  const real = {
    ...{ isClosed: false, startedAt: '2026-11-24T07:30:00.000Z', lastAt: null, closedAt: null, unitsDone: 0 },
    ...{ cookId: COOK, units: 6, minutes: 0, portions: [], money: 0 },
  }
  const planned = [{ id: JOB, isDropped: false, fabricationId: 'record', real }]
  const [cut] = at('2026-11-24', '10:00', { planned })
  expect(cut).toMatchObject({ state: 'running', fabricationId: 'record', start: 510, end: 660 })
})
