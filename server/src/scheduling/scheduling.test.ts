import type { Schedule } from '@fleam/core/scheduling'
import cases from '../../../core/cases/schedule.json'
import { openTestApp, send, type TestApp } from '../../test/harness.ts'

let house: TestApp
beforeAll(async () => {
  house = await openTestApp()
})
afterAll(() => house.close())

const [one] = cases as [(typeof cases)[number]]
const [task] = one.input.tasks as [object]
const schedule = (changes: Record<string, unknown>) =>
  send(house, 'POST', '/api/schedule', { ...one.input, ...changes })

test('a schedule is made beside the server', async () => {
  const { status, body } = await schedule({})
  expect(status).toBe(200)
  const made = body as Schedule
  expect(made).toMatchObject({ lateMinutes: 0, bound: { lateMinutes: 0 }, impossible: [] })
  expect(made.cleanMinutes).toBeLessThanOrEqual(one.expect.cleanMinutes)
  expect(made.tasks).toHaveLength(one.input.tasks.length)
}, 30_000)

test('a task that cannot be done is no error: which, and why', async () => {
  const { status, body } = await schedule({ tasks: [{ id: 'a', job: 'a', minutes: 5, needs: 'cook', skill: 'lamb' }] })
  expect([status, body.status, body.impossible]).toEqual([200, 'impossible', [{ task: 'a', why: 'no-such-skill' }]])
})

test.each([
  ['a horizon of nothing', { horizon: 0 }, 'horizon'],
  ['two cooks of one name', { cooks: [...one.input.cooks, ...one.input.cooks] }, 'cooks[1].name'],
  [
    'a shift that ends before it begins',
    { cooks: [{ name: 'M', skills: [], shifts: [[60, 30]] }] },
    'cooks[0].shifts[0]',
  ],
  [
    'shifts over each other',
    {
      cooks: [
        {
          name: 'M',
          skills: [],
          shifts: [
            [0, 60],
            [30, 90],
          ],
        },
      ],
    },
    'cooks[0].shifts[1]',
  ],
  ['no unit of a station', { stations: [{ name: 'board', count: 0 }] }, 'stations[0].count'],
  ['a station that is nowhere', { tasks: [{ ...task, station: 'oven' }] }, 'tasks[0].station'],
  ['a species of no order', { tasks: [{ ...task, species: 'game' }] }, 'tasks[0].species'],
  [
    'a task after one that is not there',
    { tasks: [{ ...task, after: [{ task: 'x', lag: 0 }] }] },
    'tasks[0].after[0].task',
  ],
  ['two tasks of one id', { tasks: [task, task] }, 'tasks[1].id'],
  ['negative minutes', { tasks: [{ ...task, minutes: -1 }] }, 'tasks[0].minutes'],
  ['a field nobody knows', { tasks: [{ ...task, colour: 'red' }] }, 'tasks[0].colour'],
])('%s is refused by its path', async (_what, changes, path) => {
  const { status, body } = await schedule(changes)
  expect([status, body.issues?.[0]?.path]).toEqual([400, path])
})

test('tasks that wait for each other in a circle are refused', async () => {
  const wait = (id: string, after: string) => ({
    id,
    job: 'a',
    minutes: 1,
    needs: 'nobody',
    after: [{ task: after, lag: 0 }],
  })
  const { status, body } = await schedule({ tasks: [wait('a', 'b'), wait('b', 'a')] })
  expect([status, body.issues?.[0]]).toEqual([400, { path: 'tasks[0].after', message: 'waits for itself in a circle' }])
})
