import fc from 'fast-check'
import { evaluate, word } from '../explanation/index.ts'
import type { PlannedPile } from '../fabrication/index.ts'
import { batchLoads, explainCounted, explainLoads } from './index.ts'

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

test('minutes and what comes out at once open to what they are worked out from', () => {
  const input = { units: 12, minutesPerUnit: 11, cooks: 3, boardMinutes: 30 }
  const minutes = explainLoads(input, 'minutes')
  expect([evaluate(minutes.expression), word(minutes.expression, ({ name }) => name)]).toEqual([132, 'units × for one'])
  const perLoad = explainLoads(input, 'perLoad')
  expect(Math.ceil(evaluate(perLoad.expression))).toBe(batchLoads(input).perLoad)
  expect(perLoad.note).toContain('no more than 8 are cut within 30 minutes by 3 cooks')
})

test('a number of pieces that nobody said is the weight over what one is to weigh', () => {
  const pile = { name: 'supremes', target: 280, high: 310 } as PlannedPile
  expect(evaluate(explainCounted(pile, { grams: 3640 }).expression)).toBeCloseTo(13, 9)
})
