import fc from 'fast-check'
import { decodeText, fromInert, inert } from '../csv/index.ts'
import type { PriceListLine } from './article.ts'
import { guessMapping, type PriceMapping } from './columns.ts'
import { rowsOfList, withCell } from './edit-list.ts'
import { priceListCsv } from './list-csv.ts'
import { goodLines, PriceListReading, readPriceList, readTable } from './read-list.ts'

const context = {
  currency: 'EUR',
  bareUnit: 'g',
  items: new Set(['Chicken, eviscerated']),
  products: new Set(['Chicken: supremes']),
} as const
const FROM = '2026-11-24'
const read = (csv: string, changes: Partial<PriceMapping> = {}) =>
  readPriceList(csv, { ...guessMapping(readTable(csv, 1).headers, FROM), ...changes }, context)
const issues = (csv: string, changes: Partial<PriceMapping> = {}) =>
  read(csv, changes).issues.map(({ row, column, code }) => `${row} ${column}: ${code}`)
/** A list with one row, columns by name. */
const list = (row: Record<string, string>) => {
  const whole = { supplier: 'Ostravale', article: 'Chicken', price: '3.10', unit: 'kg', ...row }
  return `${Object.keys(whole).join(';')}\n${Object.values(whole).join(';')}`
}

describe('a list is read', () => {
  test('whatever separates its cells, empty lines passed over', () => {
    for (const separator of [';', ',', '\t']) {
      const csv = [
        ['supplier', 'article', 'price', 'unit'],
        ['Ostravale', 'Chicken', '3.10', 'kg'],
        [''],
        ['Ostravale', 'Duck', '6', 'piece'],
      ]
        .map((cells) => cells.join(separator))
        .join('\r\n')
      expect(read(csv).lines.map((line) => [line.name, line.price, line.row])).toEqual([
        ['Chicken', { amount: 3.1, per: 'kg' }, 2],
        ['Duck', { amount: 6, per: 'piece' }, 4],
      ])
    }
  })

  test.each([
    ['3,10', 3.1],
    ['€ 3.10', 3.1],
    ['1.250,50 EUR', 1250.5],
    ['1,250.50', 1250.5],
    ["1'250.50", 1250.5],
    ['1 250', 1250],
  ])('price %s is %f', (price, amount) => {
    expect(read(list({ price })).lines[0]?.price.amount).toBeCloseTo(amount, 9)
  })

  test('one mark is read as the mapping says', () => {
    expect(read(list({ price: '1.250' }), { decimal: ',' }).lines[0]?.price.amount).toBe(1250)
    expect(read(list({ price: '1.250' }), { decimal: '.' }).lines[0]?.price.amount).toBe(1.25)
    expect(issues(list({ price: '1.25' }), { decimal: ',' })).toEqual(['2 price: not-a-number'])
  })

  test('with weights, packs, shares and days as people write them', () => {
    const [line] = read(
      list({
        'whole or ready': 'ready',
        product: 'Chicken: supremes',
        'piece weight': '280 g',
        'pieces in a pack': '20',
        'pack weight': '5,6 kg',
        'usable share': '97 %',
        'valid from': '1.12.2026',
        'valid until': '2026-12-31',
        unit: 'per case',
      }),
    ).lines
    expect(line).toMatchObject({
      kind: 'ready',
      product: 'Chicken: supremes',
      pieceWeight: 280,
      packPieces: 20,
      packWeight: 5600,
      usableShare: 0.97,
      from: '2026-12-01',
      until: '2026-12-31',
      price: { per: 'case' },
    })
  })

  test('with what the mapping says where a column is missing', () => {
    const csv = 'description;net price;uom\nDuck;7;kg'
    expect(read(csv, { supplier: 'Ostravale', kind: 'whole' }).lines[0]).toMatchObject({
      supplier: 'Ostravale',
      code: 'Duck',
      name: 'Duck',
      from: FROM,
      until: null,
    })
  })
})

describe('what is wrong is told by row and column', () => {
  test.each([
    [{ price: '-3' }, 'price: negative'],
    [{ price: 'three' }, 'price: not-a-number'],
    [{ price: '' }, 'price: empty'],
    [{ price: '$3.10' }, 'price: other-currency'],
    [{ price: '=2+3' }, 'price: formula'],
    [{ unit: 'bushel' }, 'unit: unknown-unit'],
    [{ unit: '' }, 'unit: empty'],
    [{ article: '' }, 'article: empty'],
    [{ article: '=cmd()' }, 'article: formula'],
    [{ article: '@SUM(A1)' }, 'article: formula'],
    [{ article: 'K\ufffdse' }, 'article: wrong-encoding'],
    [{ article: 'x'.repeat(121) }, 'article: too-long'],
    [{ item: 'Dodo' }, 'item: unknown-item'],
    [{ product: 'Dodo: legs' }, 'product: unknown-product'],
    [{ 'piece weight': 'heavy' }, 'piece weight: not-a-weight'],
    [{ 'pieces in a pack': '2.5' }, 'pieces in a pack: out-of-range'],
    [{ 'usable share': '120 %' }, 'usable share: out-of-range'],
    [{ 'valid from': '11/24/2026' }, 'valid from: not-a-date'],
    [{ 'valid from': '2026-12-01', 'valid until': '2026-11-01' }, 'valid until: ends-before'],
    [{ 'whole or ready': 'half' }, 'whole or ready: unknown-kind'],
  ])('%j', (row, expected) => {
    expect(issues(list(row as Record<string, string>))).toEqual([`2 ${expected}`])
  })

  test('two prices of one article on the same days', () => {
    const csv =
      'supplier;article;price;unit;valid from;valid until\nO;C;3;kg;2026-01-01;2026-02-01\nO;C;4;kg;2026-02-01;\nO;D;4;kg;2026-02-01;'
    expect(issues(csv)).toEqual(['3 valid from: overlap'])
  })

  test('every row is looked at, good ones are kept apart', () => {
    const { lines, issues: found } = read('supplier;article;price;unit\nO;A;1;kg\nO;B;-1;kg\nO;C;x;stone')
    expect(lines.map((line) => line.name)).toEqual(['A'])
    expect(found.map((issue) => issue.row)).toEqual([3, 4, 4])
  })

  test.each([
    ['', ['1 : no-rows']],
    ['supplier;article;price;unit\n', ['2 : no-rows']],
    ['a;a\n1;2', ['1 a: header-twice']],
    ['article;unit\nChicken;kg', ['1 price: column-missing', '1 supplier: column-missing']],
    [Array.from({ length: 100_000 }, (_, index) => `c${index}`).join(','), ['1 : too-many-columns']],
    ['supplier;article;price;unit\nO;"half a quote;3;kg', ['1 : unreadable']],
    [`supplier;article;price;unit\nO;${'x'.repeat(250_000)};3;kg`, ['1 : too-long']],
  ])('a file that is no price list: %.30s', (csv, expected) => {
    expect(issues(csv)).toEqual(expected)
  })

  test('a mapping to a column that is not there', () => {
    expect(issues(list({}), { columns: { name: 'article', amount: 'cost', per: 'unit' }, supplier: 'O' })).toEqual([
      '1 cost: no-such-column',
      '1 price: column-missing',
    ])
  })
})

describe('bytes', () => {
  const bytes = (...parts: (string | number[])[]) =>
    Uint8Array.from(parts.flatMap((part) => (typeof part === 'string' ? [...Buffer.from(part, 'latin1')] : part)))

  test.each([
    ['utf-8', new TextEncoder().encode('Rehrücken'), 'Rehrücken'],
    ['windows-1252', bytes('Rehr', [0xfc], 'cken'), 'Rehrücken'],
    ['utf-16le', Uint8Array.from([0xff, 0xfe, 0x41, 0, 0xfc, 0]), 'Aü'],
    ['utf-16be', Uint8Array.from([0xfe, 0xff, 0, 0x41]), 'A'],
  ])('of %s are read, and the encoding is named', (encoding, raw, text) => {
    expect(decodeText(raw)).toEqual({ ok: true, text, encoding })
  })

  test('of a picture are no text', () => {
    expect(decodeText(bytes([0x89, 0x50, 0x4e, 0x47, 0, 1]))).toEqual({ ok: false, why: 'binary' })
  })
})

test('what is exported is imported as it was, formulas made safe on the way', () => {
  const text = fc
    .string({ minLength: 1, maxLength: 30 })
    .filter((name) => name.trim() === name && !/[\p{Cc}\ufffd]/u.test(name) && !name.startsWith("'"))
  const nullable = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: null })
  const line: fc.Arbitrary<PriceListLine> = fc.record({
    supplier: text,
    code: text,
    name: text,
    kind: fc.constantFrom('whole', 'ready'),
    item: nullable(fc.constant('Chicken, eviscerated')),
    product: nullable(fc.constant('Chicken: supremes')),
    price: fc.record({
      amount: fc.integer({ min: 0, max: 99_999 }).map((cents) => cents / 100),
      per: fc.constantFrom('kg', 'lb', 'piece', 'case', 'lot'),
    }),
    pieceWeight: nullable(fc.integer({ min: 1, max: 9_000 })),
    packPieces: nullable(fc.integer({ min: 1, max: 90 })),
    packWeight: nullable(fc.integer({ min: 1, max: 90_000 })),
    usableShare: nullable(fc.constantFrom(0.9, 0.97, 1)),
    handlingMinutesPerPiece: nullable(fc.constantFrom(0, 0.2, 2)),
    delivery: nullable(fc.integer({ min: 0, max: 90 })),
    minimumOrder: nullable(fc.integer({ min: 0, max: 900 })),
    from: fc.constant('2026-11-24'),
    until: nullable(fc.constant('2026-12-24')),
  })
  fc.assert(
    fc.property(line, (before) => {
      const csv = priceListCsv([before])
      expect(readTable(csv).rows[0]?.some((cell) => /^[=+@-]/.test(cell))).toBe(false)
      const { lines, issues: found } = read(csv)
      expect(found).toEqual([])
      const { row: _row, ...after } = lines[0] as (typeof lines)[number]
      expect(after).toEqual(before)
    }),
    { seed: 4, numRuns: 300 },
  )
})

test('good lines are those that nothing is wrong with, contradictions left out too', () => {
  const csv = 'supplier;article;price;unit;valid from\nO;A;1;kg;2026-01-01\nO;A;2;kg;2026-01-01\nO;B;-1;kg;'
  const whole = read(csv)
  expect([goodLines(whole).map(({ row }) => row), whole.isWhole]).toEqual([[2], true])
  const rows = Array.from({ length: 3_000 }, (_, index) => `O;A${index};x;kg`)
  const broken = read(['supplier;article;price;unit', ...rows].join('\n'))
  expect([broken.isWhole, broken.issues.length]).toEqual([false, 2_000])
  expect(read('a;a\n1;2').isWhole).toBe(false)
})

test('rows are taken out as a list of their own, and cells written anew, whatever stands in them', () => {
  const csv = '\ufeffsupplier,article,price\nO,"Duck, ""fat""",3\n\nO,Hen\nO,Goose,8'
  expect(readTable(rowsOfList(csv, new Set([2, 4])))).toMatchObject({
    headers: ['supplier', 'article', 'price'],
    rows: [
      ['O', 'Duck, "fat"', '3'],
      ['O', 'Hen', ''],
    ],
  })
  const mended = readTable(withCell(csv, 4, 'price', '1;5'))
  expect(mended.rows[2]).toEqual(['O', 'Hen', '1;5'])
  expect(mended.rows[0]).toEqual(['O', 'Duck, "fat"', '3'])
  expect(readTable(withCell(csv, 4, 'nowhere', 'x')).rows[2]).toEqual(['O', 'Hen', ''])
})

test('a list reads the same however it is cut', () => {
  const rows = Array.from({ length: 50 }, (_, index) => `O;A${index};${index % 7 === 0 ? 'x' : index};kg`)
  const csv = ['supplier;article;price;unit', ...rows].join('\n')
  const mapping = guessMapping(readTable(csv, 1).headers, FROM)
  const reading = new PriceListReading(csv, mapping, context)
  let steps = 0
  for (; !reading.isDone; steps++) reading.step(7)
  expect(steps).toBe(8)
  expect(reading.result()).toEqual(readPriceList(csv, mapping, context))
})

test('a unit, a sign or a number that only looks like one is refused', () => {
  for (const [price, unit, expected] of [
    ['3', 'constructor', '2 unit: unknown-unit'],
    ['3', '__proto__', '2 unit: unknown-unit'],
    ['4 35', 'kg', '2 price: not-a-number'],
    ['4,3 5', 'kg', '2 price: not-a-number'],
    ['＝1+1', 'kg', '2 price: formula'],
  ])
    expect([price, unit, issues(`supplier;article;price;unit\nO;A;${price};${unit}`)]).toEqual([
      price,
      unit,
      [expected],
    ])
  expect(read('supplier;article;price;unit\nO;A;1 435,50;kg').lines[0]?.price.amount).toBe(1435.5)
})

test('no text begins a formula, wherever a spreadsheet cuts the line, and it is read as it was', () => {
  const piece = fc.constantFrom(
    '=1+1',
    '-2',
    '@SUM(A1)',
    '＝1',
    '＋2',
    'ready; ',
    ';',
    '\t',
    '|',
    ' ',
    "'",
    'duck',
    '\n',
  )
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 6 }), (pieces) => {
      const text = pieces.join('')
      const safe = inert(text)
      for (const separator of [';', '\t', '|', '\n', '\r']) {
        const cells = safe.split(separator).map((cell) => cell.trimStart())
        expect(cells.filter((cell) => /^[=+\-@＝＋－＠]/.test(cell))).toEqual([])
      }
      if (!/(?:^|[;\t|\r\n])[ \u00a0]*'/.test(text)) expect(fromInert(safe)).toBe(text)
    }),
    { seed: 9, numRuns: 500 },
  )
})
