import fc from 'fast-check'
import { anyDocument, sixChickens } from '../../test/documents.ts'
import { appraise, moneyBars } from './index.ts'

const sum = (parts: readonly { amount: number }[]) => parts.reduce((total, part) => total + part.amount, 0)

test('the parts of making and of buying add up to what is compared', () => {
  const document = sixChickens()
  const appraisal = appraise(document)
  const bars = moneyBars(document, appraisal, 0)
  expect(sum(bars?.make.parts ?? [])).toBeCloseTo(appraisal.comparisons[0]?.costPerPortion as number, 9)
  expect(sum(bars?.buy.parts ?? [])).toBeCloseTo(appraisal.comparisons[0]?.buyPerPortionSameWeight as number, 9)
  expect(bars?.buy.parts.map((part) => part.name)).toEqual(['price', 'handling', 'rejects'])
  expect(bars?.buy.parts[2]?.amount).toBeGreaterThan(0)
})

test('in any document with a comparison', () => {
  fc.assert(
    fc.property(anyDocument, (document) => {
      const appraisal = appraise(document)
      appraisal.comparisons.forEach((comparison, index) => {
        const bars = moneyBars(document, appraisal, index)
        if (!bars) return
        const size = Math.abs(appraisal.cost.in) + 1
        expect(Math.abs(sum(bars.make.parts) - (comparison.costPerPortion as number)) / size).toBeLessThan(1e-9)
      })
    }),
    { seed: 5, numRuns: 60 },
  )
})

test('without an offer there are none', () => {
  const document = sixChickens({ offers: [] })
  expect(moneyBars(document, appraise(document), 0)).toBeNull()
})
