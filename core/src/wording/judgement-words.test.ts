import { FORMULAS } from '../appraisal/index.ts'
import { formatFor } from './format.ts'
import { judgementWords } from './judgement-words.ts'

const format = formatFor('EUR', 'metric', 'point')
const now = { verdict: 'make', costPerPortion: 4.31, savingPerPortion: 0.26 } as const
const before = { formulas: 1, isKept: true, verdict: 'buy', costPerPortion: 4.62, savingPerPortion: -0.05 } as const

test('both answers stand beside each other, with what has changed between them', () => {
  expect(judgementWords(before, now, format)).toBe(
    'By the formulas of 24 November 2026, by which it was closed: buy, a portion €4.62, €0.05 more than bought. By today’s: make, a portion €4.31, €0.26 less than bought. Since then plates are compared at what they really carry; by-products count by their kind, whatever they are called; charges of an offer are spread over the whole order.',
  )
})

test('where the answer was not kept, that is said', () => {
  const words = judgementWords({ ...before, formulas: 2, isKept: false }, now, format)
  expect(words).toContain('whose answer was not kept')
  expect(words).not.toContain('plates')
})

test('nothing is said where the formulas, or their answers, are the same', () => {
  expect(judgementWords({ ...before, formulas: FORMULAS }, now, format)).toBeNull()
  expect(judgementWords({ ...before, ...now }, now, format)).toBeNull()
})
