import type { Lot } from '@fleam/contract/receiving/schemas'

/** A delivery as it came to the door; ids and days are added by the scenario. */
export interface LotScript {
  item: string
  supplier: string
  code: string
  price: Lot['price']
  pieces: number
  receivedDaysAgo: number
  useByInDays: number
  cases: readonly { invoiceWeight: number; weighed: number | null }[]
  checks: readonly Lot['checks'][number][]
  openedDaysAgo?: number
}

const right = (checkId: string, value: number | null = null) => ({
  checkId,
  isFault: false,
  value,
  note: null,
  worth: null,
})

/** What is in the cold of the made-up kitchen: the chickens of today, a short delivery, fish for tomorrow. */
export const LOTS: readonly LotScript[] = [
  {
    item: 'Chicken, eviscerated',
    supplier: 'Ostravale Poultry Yard',
    code: 'OY-2611-04',
    price: { amount: 3.1, per: 'kg' },
    pieces: 12,
    receivedDaysAgo: 1,
    useByInDays: 5,
    cases: [
      { invoiceWeight: 12_600, weighed: 12_580 },
      { invoiceWeight: 12_600, weighed: 12_590 },
    ],
    checks: [right('temperature', 2.8), right('seal'), right('liquid'), right('skin'), right('size')],
    openedDaysAgo: 0,
  },
  {
    item: 'Duck',
    supplier: 'Ostravale Poultry Yard',
    code: 'OY-2611-07',
    price: { amount: 6.9, per: 'kg' },
    pieces: 8,
    receivedDaysAgo: 2,
    useByInDays: 1,
    cases: [
      { invoiceWeight: 9_600, weighed: 9_220 },
      { invoiceWeight: 9_600, weighed: 9_590 },
    ],
    checks: [
      right('temperature', 3.4),
      right('seal'),
      { checkId: 'skin', isFault: true, value: null, note: 'two of eight', worth: null },
    ],
  },
  {
    item: 'Hake, gutted, head off',
    supplier: 'Skerrow Quay Fish',
    code: 'SQ-1187',
    price: { amount: 9.4, per: 'kg' },
    pieces: 6,
    receivedDaysAgo: 0,
    useByInDays: 2,
    cases: [{ invoiceWeight: 12_200, weighed: 12_190 }],
    checks: [right('fish-temperature', 1.2), right('stiffness'), right('days-since-catch', 2)],
  },
  {
    item: 'Beef tenderloin, peeled, side muscle on',
    supplier: 'Brindlemere Meats',
    code: 'BM-0093',
    price: { amount: 32, per: 'kg' },
    pieces: 6,
    receivedDaysAgo: 9,
    useByInDays: 16,
    cases: [{ invoiceWeight: 15_700, weighed: 15_690 }],
    checks: [right('temperature', 2.1), right('seal'), right('fat-cover'), right('marbling')],
  },
]
