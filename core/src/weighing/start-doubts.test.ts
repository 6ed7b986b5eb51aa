import { startDoubts } from './index.ts'

const unitWeight = { low: 1600, usual: 2100, high: 2600 }
const codes = (units: number | null, invoiceWeight: number | null, receivedWeight: number | null = null) =>
  startDoubts({ units, invoiceWeight, receivedWeight, unitWeight }).map(({ code }) => code)

test('a batch as it should be is not asked about, nor one of which little is said', () => {
  expect(codes(6, 12_600, 12_540)).toEqual([])
  expect(codes(6, 7_000)).toEqual([])
  expect([codes(null, 12_600), codes(6, null), codes(6, 0)]).toEqual([[], [], []])
})

test('a unit that is far from its kind, and what came from what was invoiced, are', () => {
  expect(codes(1, 12_600)).toEqual(['unit-weight'])
  expect(codes(60, 12_600)).toEqual(['unit-weight'])
  expect(startDoubts({ units: 1, invoiceWeight: 12_600, receivedWeight: null, unitWeight })).toEqual([
    { code: 'unit-weight', each: 12_600 },
  ])
  expect(codes(6, 12_600, 10.1)).toEqual(['received-weight'])
  expect(codes(6, 12_600, 13_500)).toEqual(['received-weight'])
})
