import { type DrawnLot, purchaseFromLot } from './index.ts'

const lot = (changes: Partial<DrawnLot> = {}): DrawnLot => ({
  cases: [
    { id: 'a', invoiceWeight: 10_000, weighed: 9_800 },
    { id: 'b', invoiceWeight: 10_000, weighed: null },
  ],
  price: { amount: 4, per: 'kg' },
  pieces: 10,
  extras: 6,
  ...changes,
})

test('a lot that nothing was cut from is bought whole', () => {
  expect(purchaseFromLot(lot(), 0)).toEqual({
    price: { amount: 4, per: 'kg' },
    invoiceWeight: 20_000,
    receivedWeight: 19_800,
    cases: 2,
    pieces: 10,
    extras: 6,
  })
})

test('what is left has its part of weight, pieces, cases and charges', () => {
  expect(purchaseFromLot(lot(), 5_000)).toMatchObject({
    invoiceWeight: 15_000,
    receivedWeight: 14_850,
    cases: 1.5,
    pieces: 8,
    extras: 4.5,
  })
})

test('one price for the lot is paid once, however often it is cut from', () => {
  const one = lot({ price: { amount: 80, per: 'lot' }, extras: null, pieces: null })
  expect(purchaseFromLot(one, 15_000)).toEqual({
    price: { amount: 20, per: 'lot' },
    invoiceWeight: 5_000,
    receivedWeight: 4_950,
    cases: 0.5,
  })
})

test('nothing is left of a lot that is used up', () => {
  expect(purchaseFromLot(lot(), 20_000)).toBeNull()
  expect(purchaseFromLot(lot(), 25_000)).toBeNull()
})
