import type { LotRow } from '@fleam/contract/receiving/schemas'
import type { Item } from '@fleam/core/style'
import { daysLeftWords, stockLots } from './stock-words.ts'

test.each([
  [null, ''],
  [0, 'today'],
  [1, 'tomorrow'],
  [3, 'in 3 days'],
  [-1, '1 day ago'],
  [-2, '2 days ago'],
])('%s days left is %j', (days, words) => {
  expect(daysLeftWords(days)).toBe(words)
})

test('an open lot keeps as long as portions of its animal', () => {
  const lot = (item: string) =>
    ({
      usedWeight: 0,
      lot: {
        id: item,
        itemId: item,
        item,
        cases: [{ id: 'a', invoiceWeight: 5000, weighed: 4900 }],
        price: { amount: 1, per: 'kg' },
        useBy: null,
        openedOn: null,
        isFinished: false,
      },
    }) as unknown as LotRow
  const items = [
    { id: 'Hake', name: 'Hake', species: 'fish' },
    { id: 'Loin', name: 'Loin', species: 'red-meat' },
  ] as Item[]
  expect(
    stockLots([lot('Hake'), lot('Loin')], items).map((stockLot) => [stockLot.daysOpen, stockLot.receivedWeight]),
  ).toEqual([
    [1, 4900],
    [4, 4900],
  ])
})
