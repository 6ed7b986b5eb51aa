import { sixChickens } from '../../test/documents.ts'
import { appraise } from '../appraisal/index.ts'
import { batchCurve } from './index.ts'

const cheap = sixChickens({ purchase: { ...sixChickens().purchase, price: { amount: 3.1, per: 'kg' } } })
const request = { at: 0, units: 6, setUpMinutes: 20, most: 24 }
const costs = (setUpMinutes: number) =>
  batchCurve(cheap, { ...request, setUpMinutes }).points.map((point) => point.costPerPortion)

test('at the record’s own batch it says what appraising says', () => {
  const own = batchCurve(cheap, request).points[5]
  const { costPerPortion, buyPerPortionSameWeight } = appraise(cheap).comparisons[0] ?? {}
  expect(own?.units).toBe(6)
  expect(own?.costPerPortion).toBeCloseTo(costPerPortion as number, 9)
  expect(own?.buyPerPortion).toBeCloseTo(buyPerPortionSameWeight as number, 9)
})

test('a larger batch never costs more a portion, and setting up weighs most on a small one', () => {
  const curve = costs(20)
  for (let at = 1; at < curve.length; at++) expect(curve[at] as number).toBeLessThan(curve[at - 1] as number)
  expect(costs(40)[0] as number).toBeGreaterThan(curve[0] as number)
})

test('without setting up and charges a portion costs the same in any batch', () => {
  const plain = { ...cheap, purchase: { ...cheap.purchase, extras: 0 } }
  const { points } = batchCurve(plain, { ...request, setUpMinutes: 0 })
  for (const point of points) expect(point.costPerPortion).toBeCloseTo(points[0]?.costPerPortion as number, 9)
})

test('says from which batch on making pays, or that none does', () => {
  const { points, paysFrom } = batchCurve(cheap, request)
  expect(paysFrom).toBeGreaterThan(1)
  for (const point of points)
    expect(point.costPerPortion < (point.buyPerPortion as number)).toBe(point.units >= (paysFrom as number))
  const dear = sixChickens({ purchase: { ...sixChickens().purchase, price: { amount: 12, per: 'kg' } } })
  expect(batchCurve(dear, request).paysFrom).toBeNull()
})
