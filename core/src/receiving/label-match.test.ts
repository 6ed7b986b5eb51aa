import fc from 'fast-check'
import { labelMismatch, otherLabelWeight, repeatedLabels } from './index.ts'

const GTIN = '09012345000127'
const LABEL = `(01)${GTIN}(3103)012580(10)L-4471`
const TODAY = '2026-11-26'

describe('a label and its lot', () => {
  test.each([
    ['are one where both say the same', LABEL, { code: 'L-4471', gtin: GTIN }, null],
    ['are one where the lot says nothing', LABEL, { code: null, gtin: null }, null],
    ['are one where the label says nothing', '(3103)012580', { code: 'L-4471', gtin: GTIN }, null],
    ['are not one with another lot', LABEL, { code: 'L-4472', gtin: GTIN }, 'other-lot'],
    ['are not one with another article', LABEL, { code: 'L-4471', gtin: '00000000000000' }, 'other-article'],
    ['are not one where it is no label', 'chicken', { code: null, gtin: null }, 'unreadable'],
    ['are not one where it says two weights', '(3103)012580(3201)003922', { code: null, gtin: null }, 'unreadable'],
  ])('%s', (_what, text, lot, expected) => {
    expect(labelMismatch(text, lot, TODAY)?.kind ?? null).toBe(expected)
  })
})

test('the same label twice is told, unless it names each case or is none', () => {
  const cases = (...said: [string | null, string | null][]) => said.map(([label, serial]) => ({ label, serial }))
  expect(repeatedLabels(cases(['a', null], ['b', null], ['a', null], ['a', null]))).toEqual([2, 3])
  expect(repeatedLabels(cases(['a', '1'], ['a', '2'], [null, null], [null, null]))).toEqual([])
})

describe('the weight of a case beside that of its label', () => {
  test('is told where it is another, and not where either is silent', () => {
    expect(otherLabelWeight(LABEL, 12_850, TODAY)).toBe(12_580)
    expect(otherLabelWeight(LABEL, 0, TODAY)).toBe(12_580)
    expect(otherLabelWeight('(10)L-4471', 12_850, TODAY)).toBeNull()
    expect(otherLabelWeight(null, 12_850, TODAY)).toBeNull()
  })

  test('any weight is its own, however it was rounded', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 999_999 }), (grams) => {
        const text = `(3103)${String(grams).padStart(6, '0')}`
        expect(otherLabelWeight(text, Math.round(grams / 5) * 5, TODAY)).toBeNull()
        expect(otherLabelWeight(text, grams * 1.02, TODAY)).toBeCloseTo(grams, 6)
      }),
    )
  })
})
