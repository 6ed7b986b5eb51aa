import { fittingMappings, guessMapping, PRICE_COLUMN_NAMES, PRICE_COLUMNS, priceMapping } from './columns.ts'
import { priceListCsv } from './list-csv.ts'
import { readTable } from './read-list.ts'

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

  test.each([
    [['Lieferant', 'Artikel-Nr.', 'Bezeichnung', 'Einkaufspreis', 'Einheit', 'Gültig ab', 'Stückgewicht']],
    [['Fournisseur', 'Référence', 'Désignation', 'Prix HT', 'Unité', 'Valable dès', 'Poids pièce']],
    [
      [
        'Fornitore',
        'Codice articolo',
        'Descrizione',
        'Prezzo netto (€)',
        'Unità di misura',
        'Valido dal',
        'Peso pezzo',
      ],
    ],
    [['Proveedor', 'Código', 'Descripción', 'Precio', 'Unidad', 'Válido desde', 'Peso por pieza']],
  ])('in other languages: %j', (headers) => {
    const [supplier, code, name, amount, per, from, pieceWeight] = headers
    expect(guess(...headers)).toEqual({ supplier, code, name, amount, per, from, pieceWeight })
  })

  test('no column is taken twice, and what means nothing is left', () => {
    const columns = guess('price', 'price 2', 'remarks')
    expect(columns).toEqual({ amount: 'price' })
  })
})

test('a list is known by its columns: those that name most of them first, then the latest', () => {
  const remembered = (supplier: string, columns: object, usedAt: string) => ({
    supplierId: supplier,
    supplier,
    mapping: { ...guessMapping([], '2026-11-01'), columns },
    usedAt,
  })
  const few = { name: 'Text', amount: 'EK' }
  const known = [
    remembered('few', few, '2026-11-20T08:00:00.000Z'),
    remembered('other', { name: 'Text', amount: 'Preis' }, '2026-11-20T08:00:00.000Z'),
    remembered('most', { ...few, per: 'ME', code: null }, '2026-10-20T08:00:00.000Z'),
    remembered('later', { ...few, per: 'ME' }, '2026-11-21T08:00:00.000Z'),
    remembered('none', {}, '2026-11-21T08:00:00.000Z'),
  ]
  const fitting = fittingMappings(['EK', 'ME', 'Text', 'Bemerkung'], known)
  expect(fitting.map(({ supplierId }) => supplierId)).toEqual(['later', 'most', 'few'])
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
