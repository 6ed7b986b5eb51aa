import fc from 'fast-check'
import { batchLoads } from './index.ts'

test('twelve turkeys of eleven minutes are not on the board at once', () => {
  const input = { units: 12, minutesPerUnit: 11, boardMinutes: 30 }
  expect(batchLoads({ ...input, cooks: 1 })).toEqual({ perLoad: 2, loads: 6, minutes: 132 })
  expect(batchLoads({ ...input, cooks: 3 })).toEqual({ perLoad: 6, loads: 2, minutes: 132 })
  expect(batchLoads({ ...input, minutesPerUnit: 45, cooks: 1 })).toMatchObject({ perLoad: 1, loads: 12 })
  expect(batchLoads({ ...input, minutesPerUnit: 0, cooks: 1 })).toMatchObject({ perLoad: 12, loads: 1 })
})

test('every unit is in a load, and each load is within the limit unless it is one alone', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 500 }),
      fc.double({ min: 0, max: 90, noNaN: true }),
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 5, max: 120 }),
      (units, minutesPerUnit, cooks, boardMinutes) => {
        const { perLoad, loads } = batchLoads({ units, minutesPerUnit, cooks, boardMinutes })
        expect(perLoad * loads).toBeGreaterThanOrEqual(units)
        expect(perLoad * (loads - 1)).toBeLessThan(units + loads)
        if (perLoad > 1) expect((perLoad * minutesPerUnit) / cooks).toBeLessThanOrEqual(boardMinutes + 1e-9)
      },
    ),
  )
})
