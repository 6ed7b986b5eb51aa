import { sixChickens } from '../../test/documents.ts'
import { appraise, atApPrice, factorReach } from './index.ts'

const document = sixChickens()
const appraisal = appraise(document)

test('at both ends of its reach the factor is just 2 % off, and between them less', () => {
  for (const { pile, factorPerPortion, from, to } of factorReach(document, appraisal)) {
    const off = (price: number) => {
      const inFull = appraise(atApPrice(document, price)).piles.find((other) => other.name === pile)
        ?.costPerPortion as number
      return Math.abs((factorPerPortion * price) / inFull - 1)
    }
    expect(from).toBeLessThan(appraisal.cost.apPricePerKg)
    if (from > 0) expect(off(from)).toBeCloseTo(0.02, 6)
    if (to !== null) expect(off(to)).toBeCloseTo(0.02, 6)
    expect(off((from + appraisal.cost.apPricePerKg) / 2)).toBeLessThanOrEqual(0.02 + 1e-9)
  }
})

test('where neither labour nor by-products count, the factor holds at any price', () => {
  const bare = { ...document, labour: [], consumables: [], creditPolicy: 'none' as const }
  const [reach] = factorReach(bare, appraise(bare))
  expect([reach?.from, reach?.to]).toEqual([0, null])
})
