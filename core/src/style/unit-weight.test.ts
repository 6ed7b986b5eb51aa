import { evaluate } from '../explanation/index.ts'
import { type CutPile, expectedUnitWeight, shareLeft } from './index.ts'

const pile = (expectedShare: number | null) => ({ name: 'supremes', expectedShare }) as CutPile

test('a pile of one unit is its share of the unit, and says so', () => {
  const expected = expectedUnitWeight(pile(0.27), 2100)
  expect(expected?.grams).toBeCloseTo(567, 9)
  expect(evaluate(expected?.explanation.expression as never)).toBeCloseTo(567, 9)
})

test('of a pile of which nothing is known nothing is expected', () => {
  expect(expectedUnitWeight(pile(null), 2100)).toBeNull()
})

test('what is left of the whole may be less than nothing; unknown piles take none of it', () => {
  expect(shareLeft([pile(0.6), pile(0.3), pile(null)])).toBeCloseTo(0.1, 9)
  expect(shareLeft([pile(0.8), pile(0.3)])).toBeCloseTo(-0.1, 9)
  expect(shareLeft([])).toBe(1)
})
