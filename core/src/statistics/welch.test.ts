import { holm, welchTest } from './index.ts'

test('two samples against values worked out elsewhere by hand', () => {
  // Means 20 and 22, variances 2.5 and 10 of five each: t = 2 / √2.5 = 1.2649 with 5.88 degrees of freedom.
  const result = welchTest([18, 19, 20, 21, 22], [18, 20, 22, 24, 26])
  expect(result?.difference).toBe(-2)
  expect(result?.p).toBeCloseTo(0.2536, 3)
})

test('what does not spread, or is alone, is not tested', () => {
  expect(welchTest([1], [1, 2])).toBeNull()
  expect(welchTest([0.3, 0.3, 0.3], [0.2, 0.2])).toBeNull()
  expect(welchTest([0.3, 0.3, 0.3], [0.1, 0.2])?.p).toBeLessThan(1)
})

test('Holm goes by rank, never falls, and never passes one', () => {
  expect(holm([0.01, 0.04, 0.03, 0.005])).toEqual([
    expect.closeTo(0.03, 12),
    expect.closeTo(0.06, 12),
    expect.closeTo(0.06, 12),
    expect.closeTo(0.02, 12),
  ])
  expect(holm([0.6, 0.9])).toEqual([1, 1])
  expect(holm([])).toEqual([])
})
