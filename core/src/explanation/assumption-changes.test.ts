import { sixChickens } from '../../test/documents.ts'
import { assumptionChanges } from './assumption-changes.ts'

const record = sixChickens()

test('a document beside itself has no changes', () => {
  expect(assumptionChanges(record, sixChickens())).toEqual([])
})

test('a price says what it is for on both sides', () => {
  const tried = sixChickens({ purchase: { ...record.purchase, price: { amount: 2, per: 'lb' } } })
  expect(assumptionChanges(record, tried)).toEqual([
    {
      of: null,
      what: 'price',
      quantity: 'price',
      before: record.purchase.price.amount,
      after: 2,
      per: { before: 'kg', after: 'lb' },
    },
  ])
})

test('what is left out and what is written as nothing are the same', () => {
  const { extras: _extras, ...purchase } = record.purchase
  const without = sixChickens({ purchase: { ...purchase, extras: 0 } })
  const left = sixChickens({ purchase })
  expect(assumptionChanges(left, without)).toEqual([])
})

test('tasks, piles and offers are told by their names, also where one is new or gone', () => {
  const piles = record.piles.map((pile) => (pile.name === 'drumsticks' ? { ...pile, usedShare: 0.5 } : pile))
  const labour = [{ task: 'break down', minutes: 40, ratePerHour: 21.4 }]
  const changes = assumptionChanges(record, sixChickens({ piles, labour, offers: [], creditPolicy: 'net' }))
  expect(changes.map(({ of, what, after }) => [of, what, after])).toEqual([
    ['break down', 'minutes', 40],
    ['drumsticks', 'used share', 0.5],
    [record.offers?.[0]?.name, 'offer price', null],
    [null, 'credit policy', 'net'],
  ])
})

test('weighings are no assumptions', () => {
  const piles = record.piles.map((pile) => (pile.name === 'drumsticks' ? { ...pile, weight: 1 } : pile))
  expect(assumptionChanges(record, sixChickens({ piles }))).toEqual([])
})
