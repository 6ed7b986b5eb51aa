import { type FollowedTask, MINUTES_OF_A_DAY, ON_DUTY } from '@fleam/core/scheduling'
import { daysWithWork, firstShown, hoursShown, rowsOf, tasksOn } from './day-shown.ts'

const task = (start: number, end: number, cook: string | null = 'm'): FollowedTask => ({
  ...{ id: `${start}`, jobId: 'j', kind: cook ? 'cut' : 'stock', upTo: null, begun: null, done: null },
  ...{ start, end, cook, station: null, state: 'waiting' },
})
const DAY = MINUTES_OF_A_DAY
const TASKS = [task(DAY + 490, DAY + 560), task(DAY + 600, 2 * DAY + 120, null), task(3 * DAY + 700, 3 * DAY + 710)]

test('days with work, a pot over midnight on both; today first, else the next one', () => {
  expect(daysWithWork(TASKS, 3)).toEqual([1, 2, 3])
  expect([0, 1.5, 2.5, 9].map((day) => firstShown([1, 2, 3], day * DAY))).toEqual([1, 1, 2, 1])
  expect(firstShown([], 0)).toBe(0)
})

test('rows at the board and at the stoves have hours of their own', () => {
  const stove = { kind: 'unit' as const, station: 'stove', number: 1 }
  const [cook, duty] = ['m', ON_DUTY].map((name) => ({ kind: 'cook' as const, name }))
  const pot = { ...task(DAY + 600, 2 * DAY + 120, null), station: { name: 'stove', number: 1 } }
  const placed = [task(DAY + 490, DAY + 560), task(DAY + 595, DAY + 600, ON_DUTY), pot]
  if (!cook || !duty) throw new Error('two cooks')
  const on = (day: number) => tasksOn(placed, day)
  expect(rowsOf([cook, duty, stove], on(1))).toEqual({ board: [cook], stove: [duty, stove] })
  expect(hoursShown(on(1), 1, [cook])).toMatchObject({ first: DAY + 480, last: DAY + 600 })
  expect(hoursShown(on(1), 1, [duty, stove])).toMatchObject({ first: DAY + 540, last: 2 * DAY })
  expect(hoursShown(on(2), 2, [duty, stove])).toMatchObject({ first: 2 * DAY, last: 2 * DAY + 120 })
  expect(hoursShown(on(1), 1, [cook]).hours).toEqual([DAY + 480, DAY + 540, DAY + 600])
  // Without anything at the stoves there are no rows of them.
  expect(rowsOf([cook, duty, stove], [task(DAY, DAY + 10)]).stove).toEqual([])
})
