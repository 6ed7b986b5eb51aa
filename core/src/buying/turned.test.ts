import { sixChickens } from '../../test/documents.ts'
import { isSamePrice, recost, turnedVerdict } from './index.ts'

const cheap = sixChickens({ purchase: { ...sixChickens().purchase, price: { amount: 3.1, per: 'kg' } } })
const purchase = (amount: number) => ({ kind: 'purchase', price: { amount, per: 'kg' }, extras: null }) as const
const offer = (amount: number) =>
  ({ kind: 'offer', offer: cheap.offers?.[0]?.name as string, price: { amount, per: 'case' } }) as const

test('a record at new prices keeps its weights, labour and charges', () => {
  const { document, appraisal } = recost(cheap, [purchase(4)])
  expect(document.purchase).toEqual({ ...cheap.purchase, price: { amount: 4, per: 'kg' } })
  expect(document.piles).toBe(cheap.piles)
  expect(appraisal.cost.labour).toBeCloseTo(recost(cheap).appraisal.cost.labour, 12)
})

test('a verdict that stands has not turned', () => {
  expect(recost(cheap).leading?.verdict).toBe('make')
  expect(turnedVerdict(cheap, [purchase(3.2)])).toBeNull()
  expect(turnedVerdict(cheap, [])).toBeNull()
})

test('what turned it is named: the price that does it alone', () => {
  const turned = turnedVerdict(cheap, [purchase(6), offer(76.5)])
  expect([turned?.before.leading?.verdict, turned?.after.leading?.verdict]).toEqual(['make', 'buy'])
  expect(turned?.turnedBy).toEqual([purchase(6)])
})

test('where only both together turn it, both are named', () => {
  const at = recost(cheap).leading?.breakEven
  const almost = (at?.apPricePerKg as number) * 0.93
  const changes = [purchase(almost - 3 / 12.6), offer((at?.offerAmount as number) * 1.1)]
  const turned = turnedVerdict(cheap, changes)
  expect(turned?.turnedBy).toEqual(changes)
})

test('a record without an offer has no verdict to turn', () => {
  expect(turnedVerdict(sixChickens({ offers: [] }), [purchase(9)])).toBeNull()
})

test('prices are the same in amount and unit', () => {
  expect(isSamePrice({ amount: 3.1, per: 'kg' }, { amount: 3.1, per: 'kg' })).toBe(true)
  expect(isSamePrice({ amount: 3.1, per: 'kg' }, { amount: 3.1, per: 'lb' })).toBe(false)
})
