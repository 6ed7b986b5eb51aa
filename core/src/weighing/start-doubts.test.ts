import { startDoubts } from './index.ts'

const unitWeight = { low: 1600, usual: 2100, high: 2600 }
const codes = (units: number | null, invoiceWeight: number | null, receivedWeight: number | null = null) =>
  startDoubts({ units, invoiceWeight, receivedWeight, unitWeight, price: null, lastPrice: null }).map(
    ({ code }) => code,
  )

test('a batch as it should be is not asked about, nor one of which little is said', () => {
  expect(codes(6, 12_600, 12_540)).toEqual([])
  expect(codes(6, 7_000)).toEqual([])
  expect([codes(null, 12_600), codes(6, null), codes(6, 0)]).toEqual([[], [], []])
})

test('a unit that is far from its kind, and what came from what was invoiced, are', () => {
  expect(codes(1, 12_600)).toEqual(['unit-weight'])
  expect(codes(60, 12_600)).toEqual(['unit-weight'])
  expect(
    startDoubts({ units: 1, invoiceWeight: 12_600, receivedWeight: null, unitWeight, price: null, lastPrice: null }),
  ).toEqual([{ code: 'unit-weight', unitWeight: 12_600, meant: null }])
  expect(codes(6, 12_600, 10.1)).toEqual(['received-weight'])
  expect(codes(6, 12_600, 13_500)).toEqual(['received-weight'])
})

test('a weight in another unit than it was meant in is offered in that one', () => {
  const meant = (invoiceWeight: number) => {
    const [doubt] = startDoubts({
      ...{ units: 6, invoiceWeight, receivedWeight: null, unitWeight: { low: 1_700, usual: 2_100, high: 2_700 } },
      ...{ price: null, lastPrice: null },
    })
    return doubt?.code === 'unit-weight' ? doubt.meant : undefined
  }
  expect(meant(12.52)).toBeCloseTo(12_520, 6)
  expect(meant(27.8)).toBeCloseTo(27.8 * 453.59237, 6)
  expect(meant(12_520_000)).toBeCloseTo(12_520, 6)
  expect(meant(2_000)).toBeNull()
})

test('a price far from the last one in the same unit is asked about', () => {
  const doubts = (amount: number, per: 'kg' | 'piece') =>
    startDoubts({
      ...{ units: 6, invoiceWeight: null, receivedWeight: null, unitWeight: { low: 1, usual: 1, high: 1 } },
      ...{ price: { amount, per }, lastPrice: { amount: 3.1, per: 'kg' } },
    }).map(({ code }) => code)
  expect([doubts(31, 'kg'), doubts(0.31, 'kg'), doubts(4.2, 'kg'), doubts(31, 'piece')]).toEqual([
    ['price'],
    ['price'],
    [],
    [],
  ])
})
