import { sixChickens } from '../../test/documents.ts'
import { appraise } from './appraise.ts'
import { changesSince, FORMULA_CHANGES, FORMULAS, isOtherJudgement, judgementOf } from './judgement.ts'

test('formulas are counted up, and their days do not go back', () => {
  expect(FORMULA_CHANGES.map(({ number }) => number)).toEqual(FORMULA_CHANGES.map((_, index) => index + 1))
  const days = FORMULA_CHANGES.map(({ since }) => since)
  expect([...days].sort()).toEqual(days)
  expect(changesSince(FORMULAS)).toEqual([])
  expect(changesSince(0)).toHaveLength(FORMULA_CHANGES.length)
})

test('a judgement is the answer that the verdict speaks of first', () => {
  const appraisal = appraise(sixChickens())
  const [comparison] = appraisal.comparisons
  expect(judgementOf(appraisal)).toEqual({
    verdict: comparison?.verdict ?? null,
    costPerPortion: comparison?.costPerPortion ?? null,
    savingPerPortion: comparison?.saving ?? null,
  })
  expect(judgementOf({ ...appraisal, comparisons: [] }).verdict).toBeNull()
})

test('answers differ by their verdict and by money, not by how computers count', () => {
  const one = { verdict: 'make', costPerPortion: 4, savingPerPortion: 0.5 } as const
  expect(isOtherJudgement(one, { ...one, costPerPortion: 4 + 1e-9 })).toBe(false)
  expect(isOtherJudgement(one, { ...one, costPerPortion: 4.01 })).toBe(true)
  expect(isOtherJudgement(one, { ...one, verdict: 'even' })).toBe(true)
  expect(isOtherJudgement(one, { ...one, savingPerPortion: null })).toBe(true)
})
