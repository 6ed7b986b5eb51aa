import fc from 'fast-check'
import { formatMoney, minorDigits, pricePerKg, pricePerWeight, roundParts, shownDifference } from './money.ts'

test('rounds to the minor unit of the currency', () => {
  expect(minorDigits('JPY')).toBe(0)
  expect(formatMoney(2.869, 'EUR')).toBe('€2.87')
  expect(formatMoney(-0.15, 'USD')).toBe('\u2212$0.15')
  expect(formatMoney(-0.001, 'EUR')).toBe('€0.00')
  expect(formatMoney(1234.5, 'JPY')).toBe('¥1,235')
})

test('gives a price per pound where the kitchen works in pounds', () => {
  expect(pricePerWeight(10, 'imperial').amount).toBeCloseTo(4.5359237, 9)
  expect(pricePerKg(pricePerWeight(10, 'imperial').amount, 'imperial')).toBeCloseTo(10, 9)
  expect(pricePerWeight(10, 'metric')).toEqual({ amount: 10, per: 'kg' })
})

test('a difference agrees with the amounts that stand beside it', () => {
  expect(shownDifference(3.7634, 3.6679, 'EUR')).toBe(0.09)
  expect(shownDifference(3.4, 3.6, 'JPY')).toBe(-1)
})

test('the remainder of rounding goes to the largest part', () => {
  expect(roundParts([3.333, 3.333, 3.334], 2)).toEqual([3.33, 3.33, 3.34])
  expect(roundParts([0.005, 0.005, 5], 2)).toEqual([0.01, 0.01, 4.99])
})

test('rounded parts always add up to the rounded total', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 20 }), (parts) => {
      const total = parts.reduce((sum, part) => sum + part, 0)
      const cents = roundParts(parts, 2).reduce((sum, part) => sum + Math.round(part * 100), 0)
      expect(cents - Math.round(total * 100)).toBeCloseTo(0)
    }),
    { seed: 20 },
  )
})
