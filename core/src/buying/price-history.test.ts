import fc from 'fast-check'
import { overlaps, priceLine, priceOn } from './index.ts'

const span = (from: string, until: string | null = null, amount = 1) => ({ from, until, amount })

describe('the price of a day', () => {
  const prices = [span('2026-01-01', null, 3), span('2026-03-01', '2026-03-31', 4), span('2026-06-01', null, 5)]

  test.each([
    ['2025-12-31', undefined],
    ['2026-01-01', 3],
    ['2026-03-31', 4],
    ['2026-04-01', 3],
    ['2026-06-01', 5],
  ])('%s: %s', (day, amount) => {
    expect(priceOn(prices, day)?.amount).toBe(amount)
  })

  test('is that of the last in the list where two begin on one day', () => {
    expect(priceOn([span('2026-01-01', null, 3), span('2026-01-01', null, 4)], '2026-02-01')?.amount).toBe(4)
  })
})

describe('two prices contradict each other', () => {
  test.each([
    [span('2026-01-01'), span('2026-01-01'), true],
    [span('2026-01-01'), span('2026-02-01'), false],
    [span('2026-01-01', '2026-02-01'), span('2026-02-01'), true],
    [span('2026-01-01', '2026-01-31'), span('2026-02-01', '2026-02-28'), false],
  ])('%j and %j: %s', (a, b, expected) => {
    expect([overlaps(a, b), overlaps(b, a)]).toEqual([expected, expected])
  })
})

test('the line has a point where a price begins, and one today', () => {
  const prices = [span('2026-06-01', null, 5), span('2026-01-01', null, 3), span('2027-01-01', null, 9)]
  expect(priceLine(prices, '2026-11-24')).toEqual([
    { day: '2026-01-01', amount: 3 },
    { day: '2026-06-01', amount: 5 },
    { day: '2026-11-24', amount: 5 },
  ])
  expect(priceLine([], '2026-11-24')).toEqual([])
})

test('every point of the line is the price of its day', () => {
  const day = fc.integer({ min: 1, max: 28 }).map((date) => `2026-02-${String(date).padStart(2, '0')}`)
  const price = fc.record({ from: day, until: fc.constant(null), amount: fc.integer({ min: 1, max: 9 }) })
  fc.assert(
    fc.property(fc.array(price, { maxLength: 12 }), (prices) => {
      for (const point of priceLine(prices, '2026-02-28')) {
        expect(priceOn(prices, point.day)?.amount).toBe(point.amount)
      }
    }),
    { seed: 4, numRuns: 60 },
  )
})
