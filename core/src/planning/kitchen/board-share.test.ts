import { boardShare } from './index.ts'

const scheduleOf = (cuttingMinutes: number, cookMinutes: number) => ({ cuttingMinutes, cookMinutes })

test('what of the cooks’ hours is cutting is the median of the latest schedules, from three on', () => {
  expect(boardShare([scheduleOf(60, 100), scheduleOf(70, 100)])).toEqual({ value: 1, schedules: 0 })
  expect(boardShare([scheduleOf(60, 100), scheduleOf(90, 100), scheduleOf(80, 100)])).toEqual({
    value: 0.8,
    schedules: 3,
  })
  // Of six at most, and of none in which nothing was cut.
  const latest = Array.from({ length: 6 }, () => scheduleOf(70, 100))
  expect(boardShare([...latest, scheduleOf(1, 100)])).toEqual({ value: 0.7, schedules: 6 })
  expect(boardShare([scheduleOf(0, 100), scheduleOf(5, 0), scheduleOf(60, 100), scheduleOf(60, 100)]).schedules).toBe(0)
})

test('a schedule that needs no more than cutting leaves all of the hours', () => {
  expect(boardShare([scheduleOf(100, 90), scheduleOf(100, 90), scheduleOf(100, 90)]).value).toBe(1)
})
