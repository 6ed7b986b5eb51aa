import { normalHalfWidth, summarise, tHalfWidth } from './index.ts'

test('a summary of nothing, of one and of several', () => {
  expect(summarise([])).toEqual({ n: 0, mean: null, sd: null })
  expect(summarise([4])).toEqual({ n: 1, mean: 4, sd: null })
  expect(summarise([2, 4, 4, 4, 5, 5, 7, 9])).toEqual({ n: 8, mean: 5, sd: Math.sqrt(32 / 7) })
})

// Quantiles as any table has them.
test.each([
  [2, 6.313752],
  [3, 2.919986],
  [6, 2.015048],
  [31, 1.697261],
])('the t interval of %i values is as wide as the table says', (n, quantile) => {
  expect(tHalfWidth(n, 1) * Math.sqrt(n)).toBeCloseTo(quantile, 5)
})

test('with a known spread it is the normal one, and a wider confidence is wider', () => {
  expect(normalHalfWidth(4, 2)).toBeCloseTo(1.644854, 5)
  expect(tHalfWidth(5, 1, 0.95)).toBeGreaterThan(tHalfWidth(5, 1))
  expect(tHalfWidth(5, 0)).toBe(0)
})
