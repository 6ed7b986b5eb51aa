import { sixChickens } from '../../test/documents.ts'
import { appraise, factorReach, type MoneyPartName, moneyBars } from '../appraisal/index.ts'
import { formatFor } from '../wording/index.ts'
import { type Explanation, evaluate, explain, moneyPartFigure, reachFigure } from './index.ts'

const document = sixChickens()
const appraisal = appraise(document)
const result = (explanation: Explanation | null) => evaluate((explanation as Explanation).expression)

test('every part of a portion opens to what the bar shows', () => {
  const bars = moneyBars(document, appraisal, 0)
  const parts = [...(bars?.make.parts ?? []), ...(bars?.buy.parts ?? [])]
  expect(parts).toHaveLength(7)
  for (const { name, amount } of parts) {
    expect(result(moneyPartFigure(document, appraisal, 0, name))).toBeCloseTo(amount, 9)
  }
  expect(moneyPartFigure(document, appraisal, 5, 'labour' as MoneyPartName)).toBeNull()
})

test('a factor for pounds times a price a pound is what a portion costs', () => {
  const perPound = (appraisal.cost.apPricePerKg / 1000) * 453.59237
  const figure = explain(document, appraisal, { group: 'pile', pile: 'supremes', figure: 'factorPerPortion' })
  expect(result(figure)).toBeCloseTo(appraisal.piles[0]?.factorPerPortion as number, 12)
  const shown = Number(formatFor('USD', 'imperial').quantity(result(figure), 'factor-per-kg'))
  expect(shown * perPound).toBeCloseTo(appraisal.piles[0]?.costPerPortion as number, 2)
})

test('both ends of a reach open to themselves', () => {
  for (const reach of factorReach(document, appraisal)) {
    for (const end of ['from', 'to'] as const) {
      const price = reach[end]
      if (price === null || price <= 0) expect(reachFigure(reach, end)).toBeNull()
      else expect(result(reachFigure(reach, end))).toBeCloseTo(price, 9)
    }
  }
})
