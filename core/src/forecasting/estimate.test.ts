import { tHalfWidth } from '../statistics/index.ts'
import { estimateForSupplier, estimateFrom } from './index.ts'

test('before the first test it is the assumed value', () => {
  expect(estimateFrom(0.27, [])).toMatchObject({ basis: 'assumed', tests: 0, value: 0.27 })
})

test('with one or two tests the assumed value counts as two', () => {
  expect(estimateFrom(0.27, [0.24])).toMatchObject({ basis: 'blended', tests: 1 })
  expect(estimateFrom(0.27, [0.24])?.value).toBeCloseTo(0.26, 12)
  expect(estimateFrom(0.27, [0.24, 0.26])?.value).toBeCloseTo(0.26, 12)
})

test('from three on it is the kitchen’s own mean with its t interval', () => {
  const own = estimateFrom(0.27, [0.24, 0.25, 0.26])
  expect(own).toMatchObject({ basis: 'own', tests: 3 })
  expect(own?.value).toBeCloseTo(0.25, 12)
  expect(own?.halfWidth).toBeCloseTo(tHalfWidth(3, 0.01), 12)
})

test('more tests never make an assumed spread wider', () => {
  const widths = [[], [0.27], [0.27, 0.27]].map((tests) => estimateFrom(0.27, tests)?.halfWidth ?? 0)
  expect(widths).toEqual([...widths].sort((a, b) => b - a))
  expect(widths.every((width) => width > 0)).toBe(true)
})

test('without anything assumed the tests alone speak, and nothing says nothing', () => {
  expect(estimateFrom(null, [0.3])).toMatchObject({ basis: 'blended', tests: 1, value: 0.3 })
  expect(estimateFrom(null, [])).toBeNull()
})

describe('of one supplier', () => {
  const all = [0.27, 0.26, 0.25, 0.24]

  test('without a test of its own it is what the kitchen knows', () => {
    expect(estimateForSupplier(0.27, all, [])).toEqual(estimateFrom(0.27, all))
  })

  test('with one or two the kitchen’s value counts as two', () => {
    expect(estimateForSupplier(0.27, all, [0.24])?.value).toBeCloseTo((2 * 0.255 + 0.24) / 3, 12)
  })

  test('from three on its own tests speak alone', () => {
    expect(estimateForSupplier(0.27, all, [0.23, 0.24, 0.25])).toMatchObject({ basis: 'own', tests: 3 })
    expect(estimateForSupplier(0.27, all, [0.23, 0.24, 0.25])?.value).toBeCloseTo(0.24, 12)
  })
})
