import { guessMapping, PRICE_COLUMN_NAMES, PRICE_COLUMNS, priceListCsv, priceMapping, readTable } from './index.ts'

const guess = (...headers: string[]) => guessMapping(headers, '2026-11-24').columns

test('the template’s own headers are all known', () => {
  const { headers } = readTable(priceListCsv([]))
  const columns = guess(...headers)
  for (const column of PRICE_COLUMN_NAMES) expect([column, columns[column]]).toEqual([column, PRICE_COLUMNS[column]])
})

describe('other words that suppliers use', () => {
  test.each([
    [
      ['Vendor', 'Description', 'Net price', 'UOM'],
      { supplier: 'Vendor', name: 'Description', amount: 'Net price', per: 'UOM' },
    ],
    [
      ['SKU', 'Article name', 'Price (EUR)', 'Unit'],
      { code: 'SKU', name: 'Article name', amount: 'Price (EUR)', per: 'Unit' },
    ],
    [['ART. NO.', 'TEXT', 'PRICE', 'PER'], { code: 'ART. NO.', name: 'TEXT', amount: 'PRICE', per: 'PER' }],
    [
      ['name', 'price', 'price unit', 'case weight', 'count'],
      { name: 'name', amount: 'price', per: 'price unit', packWeight: 'case weight', packPieces: 'count' },
    ],
  ])('%j', (headers, expected) => {
    expect(guess(...headers)).toEqual(expected)
  })

  test('no column is taken twice, and what means nothing is left', () => {
    const columns = guess('price', 'price 2', 'remarks')
    expect(columns).toEqual({ amount: 'price' })
  })
})

describe('a mapping', () => {
  test('has defaults for what a list seldom says', () => {
    expect(priceMapping.parse({ columns: {}, from: '2026-11-24' })).toEqual({
      columns: {},
      supplier: null,
      kind: 'whole',
      from: '2026-11-24',
      decimal: 'auto',
    })
  })

  test.each([
    ['a day that is none', { columns: {}, from: '2026-13-01' }],
    ['a column that is not known', { columns: { colour: 'c' }, from: '2026-11-24' }],
    ['another decimal mark', { columns: {}, from: '2026-11-24', decimal: ';' }],
    ['a field that is not known', { columns: {}, from: '2026-11-24', rows: 5 }],
  ])('is refused with %s', (_what, mapping) => {
    expect(priceMapping.safeParse(mapping).success).toBe(false)
  })
})
