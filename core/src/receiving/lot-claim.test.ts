import { evaluate } from '../explanation/index.ts'
import { type ClaimedLot, lotClaim } from './lot-claim.ts'

const lot = (changes: Partial<ClaimedLot> = {}): ClaimedLot => ({
  cases: [
    { id: 'a', invoiceWeight: 10_000, weighed: 9_800 },
    { id: 'b', invoiceWeight: 10_000, weighed: null },
  ],
  price: { amount: 4, per: 'kg' },
  pieces: 12,
  extras: 3,
  standing: 'accepted',
  checks: [
    { checkId: 'skin', isFault: true, worth: 2.5 },
    { checkId: 'smell', isFault: true, worth: null },
    { checkId: 'size', isFault: false, worth: 9 },
  ],
  ...changes,
})

test('what is missing and what each fault is worth add up', () => {
  const claim = lotClaim(lot())
  expect(claim.delivery.claim).toBeCloseTo(0.8, 12)
  expect(claim.faults).toEqual([{ checkId: 'skin', worth: 2.5 }])
  expect(claim.total).toBeCloseTo(3.3, 12)
  expect(evaluate(claim.explanation.expression)).toBeCloseTo(claim.total, 12)
})

test.each([
  ['kg', 4, 83],
  ['piece', 6, 75],
  ['case', 40, 83],
  ['lot', 80, 83],
] as const)('what went back is claimed whole, charges in: a price per %s', (per, amount, whole) => {
  for (const standing of ['returned', 'refused'] as const) {
    const claim = lotClaim(lot({ standing, price: { amount, per } }))
    expect([claim.whole, claim.total, evaluate(claim.explanation.expression)]).toEqual([whole, whole, whole])
  }
})
