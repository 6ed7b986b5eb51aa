import fc from 'fast-check'
import { evaluate } from '../../explanation/index.ts'
import { explainHoursLeft, hoursLeft, hoursOfWeek, shiftBy, shiftsOn } from './week.ts'
import type { CookShift } from './work-shapes.ts'

const shift = (day: number, from: number, until: number): CookShift => ({ day, from, until })

test('stretches that meet are one; those of other days stay apart', () => {
  const week = [shift(1, 600, 720), shift(1, 480, 600), shift(1, 900, 960), shift(2, 480, 540)]
  expect(shiftsOn(1, week)).toEqual([
    [480, 720],
    [900, 960],
  ])
  expect(hoursOfWeek(week)).toEqual([5, 1, 0, 0, 0, 0, 0])
})

test('what is left of a day at the board is counted from now on, and opens by cook', () => {
  const cooks = [
    { name: 'Marit', week: [shift(1, 480, 600), shift(1, 660, 720)] },
    { name: 'Bruno', week: [shift(1, 480, 540)] },
    { name: 'Ondine', week: null },
  ]
  expect(hoursLeft(cooks, 1, 570)).toBe(1.5)
  const formula = explainHoursLeft(cooks, 1, 500)
  expect(formula && evaluate(formula.expression)).toBe(200)
  expect(hoursLeft(cooks, 1, 500) * 60).toBeCloseTo(200, 9)
  expect(explainHoursLeft(cooks, 1, 720)).toBeNull()
})

test('a stretch is moved whole, or made longer at an end', () => {
  expect(shiftBy({ from: 480, until: 600 }, 'whole', 70)).toEqual({ from: 540, until: 660 })
  expect(shiftBy({ from: 480, until: 600 }, 'from', -40)).toEqual({ from: 450, until: 600 })
  expect(shiftBy({ from: 480, until: 600 }, 'until', -500)).toEqual({ from: 480, until: 510 })
})

test('wherever it is dragged it stays within its day, and a stretch', () => {
  const part = fc.constantFrom('whole', 'from', 'until' as const)
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 46 }),
      fc.integer({ min: 1, max: 48 }),
      part,
      fc.integer(),
      (at, long, which, by) => {
        const before = { from: at * 30, until: Math.min(1440, (at + long) * 30) }
        const { from, until } = shiftBy(before, which as 'whole', by % 3000)
        expect(from).toBeGreaterThanOrEqual(0)
        expect(until).toBeLessThanOrEqual(1440)
        expect(until - from).toBeGreaterThanOrEqual(30)
        if (which === 'whole') expect(until - from).toBe(before.until - before.from)
      },
    ),
  )
})
