import { boardShare } from './index.ts'

const made = (cuttingMinutes: number, cookMinutes: number) => ({ cuttingMinutes, cookMinutes })

test('what of the cooks’ hours is cutting is the median of the latest schedules, from three on', () => {
  expect(boardShare([made(60, 100), made(70, 100)])).toEqual({ value: 1, schedules: 0 })
  expect(boardShare([made(60, 100), made(90, 100), made(80, 100)])).toEqual({ value: 0.8, schedules: 3 })
  // Of six at most, and of none in which nothing was cut.
  const latest = Array.from({ length: 6 }, () => made(70, 100))
  expect(boardShare([...latest, made(1, 100)])).toEqual({ value: 0.7, schedules: 6 })
  expect(boardShare([made(0, 100), made(5, 0), made(60, 100), made(60, 100)]).schedules).toBe(0)
})

test('a schedule that needs no more than cutting leaves all of the hours', () => {
  expect(boardShare([made(100, 90), made(100, 90), made(100, 90)]).value).toBe(1)
})
