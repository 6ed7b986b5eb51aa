import { type FollowedTask, MINUTES_OF_A_DAY } from '@fleam/core'
import { dayShown, daysWithWork, firstShown } from './day-shown.ts'

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

test('whole hours around what is drawn: cooks without the pot, stations with it', () => {
  expect(dayShown(TASKS, 1, 'cook')).toMatchObject({ first: DAY + 480, last: DAY + 600 })
  expect(dayShown(TASKS, 1, 'unit')).toMatchObject({ first: DAY + 480, last: 2 * DAY })
  expect(dayShown(TASKS, 2, 'cook')).toMatchObject({ first: 2 * DAY, last: 2 * DAY + 120 })
  expect(dayShown(TASKS, 3, 'cook').hours).toEqual([3 * DAY + 660, 3 * DAY + 720])
})
