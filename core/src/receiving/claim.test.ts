import { deliveryClaim } from './index.ts'

const kilo = { amount: 4, per: 'kg' } as const
const box = (id: string, invoiceWeight: number, weighed: number | null = null) => ({ id, invoiceWeight, weighed })

test('what is missing is claimed by weight, case by case and in all', () => {
  const claim = deliveryClaim([box('a', 10_000, 9_800), box('b', 10_000, 10_050), box('c', 5_000)], kilo)
  expect(claim).toMatchObject({ invoiceWeight: 25_000, receivedWeight: 24_850, short: 150, unweighed: 1 })
  expect(claim.claim).toBeCloseTo(0.6, 9)
  expect(claim.cases.map((lotCase) => lotCase.short)).toEqual([200, 0, 0])
  expect(claim.cases[0]?.claim).toBeCloseTo(0.8, 9)
})

test('more than was paid for is nothing to claim', () => {
  const claim = deliveryClaim([box('a', 10_000, 10_100)], kilo)
  expect([claim.short, claim.claim]).toEqual([-100, 0])
})

test('a price for each case has no claim by weight', () => {
  expect(deliveryClaim([box('a', 10_000, 9_000)], { amount: 76, per: 'case' }).claim).toBe(0)
})
