import { CATALOGUE } from '@fleam/catalogue'
import { guessMapping, readPriceList, readTable } from '@fleam/core/price-lists'
import { LOTS } from './lots.ts'
import { priceBook, SUPPLIER_TERMS } from './price-book.ts'

const NOON = new Date('2026-11-24T12:00:00Z')
const context = {
  currency: 'EUR',
  bareUnit: 'g' as const,
  items: new Set(CATALOGUE.map((item) => item.name)),
  products: new Set(
    CATALOGUE.flatMap((item) =>
      item.styles.flatMap((style) => style.piles.map((pile) => `${item.family}: ${pile.name}`)),
    ),
  ),
}
const read = (now: Date) => {
  const csv = priceBook(now)
  return readPriceList(csv, guessMapping(readTable(csv, 1).headers, '2026-11-24'), context)
}

test('the price book can be taken in: every item and product is there, and no price contradicts another', () => {
  const { lines, issues } = read(NOON)
  expect(issues).toEqual([])
  expect(lines.length).toBeGreaterThan(120)
  expect(new Set(lines.map((line) => line.supplier))).toEqual(new Set(SUPPLIER_TERMS.map((terms) => terms.name)))
})

test('covers eighteen months up to today, whatever today is', () => {
  for (const now of [NOON, new Date('2028-03-01T09:00:00Z')]) {
    const days = read(now)
      .lines.map((line) => line.from)
      .sort()
    expect(days[0]).toBe(new Date(now.getTime() - 540 * 86_400_000).toISOString().slice(0, 10))
    expect((days.at(-1) as string) <= now.toISOString().slice(0, 10)).toBe(true)
  }
})

test('lots are of items that are there, and one delivery is short', () => {
  for (const lot of LOTS) expect(context.items.has(lot.item)).toBe(true)
  const short = LOTS.filter((lot) =>
    lot.cases.some((testCase) => testCase.weighed !== null && testCase.weighed < testCase.invoiceWeight * 0.98),
  )
  expect(short.map((lot) => lot.item)).toEqual(['Duck'])
})
