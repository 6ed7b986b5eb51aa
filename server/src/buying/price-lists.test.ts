import { createServer } from 'node:http'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { guessMapping, PRICE_COLUMNS, type RememberedMapping, readTable } from '@fleam/core/price-lists'
import { until } from '../../../tools/processes.ts'
import { openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'
import { buildApp } from '../index.ts'

let test_: TestApp
let kitchen: Kitchen
const path = (suffix: string) => `/api/kitchens/${kitchen.id}${suffix}`

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

const HEADER = 'supplier;article number;article;item;price;unit;valid from'
const list = (rows: readonly string[]) => [HEADER, ...rows].join('\n')
const mappingOf = (csv: string) => guessMapping(readTable(csv, 1).headers, '2026-11-24')

async function importList(csv: string, { mapping = mappingOf(csv), takes = 'all' } = {}) {
  const payload = { csv, mapping, takes }
  const response = await test_.app.inject({ method: 'POST', url: path('/price-lists'), payload })
  const news = response.body
    .trim()
    .split('\n')
    .map((text) => JSON.parse(text))
  return { status: response.statusCode, news, last: news.at(-1) }
}
const counts = async () => {
  const { body } = await send(test_, 'GET', path('/articles'))
  return body.total as number
}

test('half a character, also in the supplier that a list is said to be of, is refused by its field', async () => {
  const csv = list(['Ostravale;1;Article;;3,50;kg;2026-01-01'])
  const { status, last } = await importList(csv, { mapping: { ...mappingOf(csv), supplier: 'Ost\ud800' } })
  expect([status, last.code, last.issues[0].path]).toEqual([400, 'invalid-input', 'mapping.supplier'])
  const broken = await importList(`${csv}\ud800`, { mapping: mappingOf(csv) })
  expect([broken.status, broken.last.issues[0].path]).toEqual([400, 'csv'])
})

test('a list is taken in with its progress, and again changes nothing', async () => {
  const rows = Array.from(
    { length: 2500 },
    (_, index) => `Ostravale;${index};Article ${index};;${(index % 90) + 1},50;kg;2026-01-01`,
  )
  const first = await importList(list(rows))
  expect(first.status).toBe(200)
  const steps = Array.from({ length: 10 }, (_, index) => (index + 1) * 250)
  expect(first.news.slice(0, -1)).toEqual(steps.map((done) => ({ progress: { done, of: 2500 } })))
  expect(first.last.result).toEqual({
    rows: 2500,
    newArticles: 2500,
    changedArticles: 0,
    newPrices: 2500,
    known: 0,
    skipped: [],
  })
  const again = await importList(list(rows))
  expect(again.last.result).toEqual({
    rows: 2500,
    newArticles: 0,
    changedArticles: 0,
    newPrices: 0,
    known: 2500,
    skipped: [],
  })
  expect(await counts()).toBe(2500)
})

test('good rows are taken, and the others told: what cannot be read, and what contradicts list or book', async () => {
  await importList(list(['Ostravale;1;Duck;;3;kg;2026-01-01']))
  const csv = list([
    'Ostravale;1;Drake;;4;kg;2026-01-01',
    'Ostravale;2;Good;;3;kg;',
    'Ostravale;3;Bad;;-3;kg;',
    'Ostravale;2;Good;;5;kg;',
  ])
  const { last } = await importList(csv, { takes: 'good' })
  expect(last.result).toMatchObject({ newArticles: 1, newPrices: 1, changedArticles: 0 })
  expect(last.result.skipped.map(({ row, code }: { row: number; code: string }) => `${row} ${code}`)).toEqual([
    '4 negative',
    '5 overlap',
    '2 overlap',
  ])
  const { body } = await send(test_, 'GET', path('/articles'))
  // What was left out has named nothing anew.
  expect(body.rows.map((row: { article: { name: string } }) => row.article.name).sort()).toEqual(['Duck', 'Good'])
  expect((await importList(list(['Ostravale;9;Bad;;x;kg;']), { takes: 'good' })).last.code).toBe('price-list-wrong')
})

test('which column was which is remembered for each supplier of a list, and goes with a supplier that is merged', async () => {
  const csv = 'Firma;Ware;EK;ME\nOstravale;Duck;3;kg\nSkerrow;Hake;9;kg'
  const columns = { supplier: 'Firma', name: 'Ware', amount: 'EK', per: 'ME' }
  await importList(csv, { mapping: { ...mappingOf(csv), columns } as never })
  const known = async () => (await send(test_, 'GET', path('/price-list-mappings'))).body as RememberedMapping[]
  expect((await known()).map(({ supplier, mapping }) => [supplier, mapping.columns])).toEqual(
    expect.arrayContaining([
      ['Ostravale', columns],
      ['Skerrow', columns],
    ]),
  )
  await importList('supplier;article;price;unit\nOstravale;Goose;3;kg')
  const byName = new Map((await known()).map((row) => [row.supplier, row]))
  expect(byName.get('Ostravale')?.mapping.columns.name).toBe('article')
  expect(byName.get('Skerrow')?.mapping.columns.name).toBe('Ware')
  const [from, into] = [byName.get('Skerrow'), byName.get('Ostravale')]
  await send(test_, 'POST', path(`/suppliers/${from?.supplierId}/merge`), { into: into?.supplierId })
  expect((await known()).map(({ supplier }) => supplier)).toEqual(['Ostravale'])
})

test('one row that is wrong, and nothing is taken in', async () => {
  const { status, last } = await importList(
    list(['Ostravale;1;Good;;3;kg;', 'Ostravale;2;Bad;;-3;kg;', 'Ostravale;3;Worse;Dodo;3;stone;']),
  )
  expect([status, last.code]).toEqual([422, 'price-list-wrong'])
  expect(last.issues.map((issue: { path: string; message: string }) => `${issue.path}: ${issue.message}`)).toEqual([
    'row 3, price: negative: -3',
    'row 4, item: unknown-item: Dodo',
    'row 4, unit: unknown-unit: stone',
  ])
  expect(await counts()).toBe(0)
})

test('a price that contradicts what the book has rolls the whole list back', async () => {
  await importList(list(['Ostravale;1;One;;3;kg;2026-01-01']))
  const rows = [
    ...Array.from({ length: 1200 }, (_, index) => `Ostravale;n${index};New;;1;kg;2026-01-01`),
    'Ostravale;1;One;;4;kg;2026-01-01',
  ]
  const { last } = await importList(list(rows))
  expect(last.problem).toMatchObject({
    code: 'price-list-wrong',
    issues: [{ path: 'row 1202, valid from', message: 'overlap: 2026-01-01' }],
  })
  expect(await counts()).toBe(1)
})

test('an article that is named anew keeps its prices', async () => {
  await importList(list(['Ostravale;1;One;;3;kg;2026-01-01']))
  const { last } = await importList(
    list(['Ostravale;1;One, larger;Duck;3;kg;2026-01-01', 'Ostravale;1;One, larger;Duck;4;kg;2026-02-01']),
  )
  expect(last.result).toMatchObject({ newArticles: 0, changedArticles: 1, newPrices: 1, known: 1 })
  const { body } = await send(test_, 'GET', path('/articles'))
  expect(body.rows[0]).toMatchObject({ prices: 2, article: { name: 'One, larger', item: 'Duck' } })
})

test('an article that is named anew a thousand rows later is named so, and a fault there takes all of it back', async () => {
  const rows = Array.from({ length: 1_500 }, (_, index) => `Ostravale;${index};Article ${index};;1;kg;2026-01-01`)
  const renamed = [...rows, 'Ostravale;3;Named anew;;2;kg;2026-02-01']
  await importList(list(['Ostravale;Z;Before;;1;kg;2026-01-01']))
  const { last: refused } = await importList(list([...renamed, 'Ostravale;Z;Before;;9;kg;2026-01-01']))
  expect(refused.problem.issues).toEqual([{ path: 'row 1503, valid from', message: 'overlap: 2026-01-01' }])
  expect(await counts()).toBe(1)
  const { last } = await importList(list(renamed))
  expect(last.result).toMatchObject({ newArticles: 1_500, changedArticles: 1, newPrices: 1_501 })
  const { body } = await send(test_, 'GET', path('/articles?words=Named%20anew'))
  expect(body.rows.map((row: { article: { code: string } }) => row.article.code)).toEqual(['3'])
})

test('a reader that goes away breaks the import off, and nothing is taken in', async () => {
  const rows = Array.from({ length: 12_000 }, (_, index) => `Ostravale;${index};Article ${index};;1;kg;2026-01-01`)
  const csv = list(rows)
  await test_.app.listen({ port: 0, host: '127.0.0.1' }).catch(() => {})
  const { port } = test_.app.server.address() as { port: number }
  const leaving = new AbortController()
  const response = await fetch(`http://127.0.0.1:${port}${path('/price-lists')}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ csv, mapping: mappingOf(csv) }),
    signal: leaving.signal,
  })
  await response.body?.getReader().read()
  leaving.abort()
  // A connection is given back once what was done in it is taken back. Sequelize does not type its pool.
  const { pool } = test_.database.sequelize.connectionManager as unknown as { pool: { using: number } }
  await until(() => pool.using === 0, { timeoutMs: 10_000, everyMs: 20 })
  expect(await counts()).toBe(0)
})

test('what is exported can be imported by another kitchen, and the template has its columns', async () => {
  await importList(list(['Ostravale;1;=1+1 is refused;;3;kg;'].map((row) => row.replace('=1+1', 'one and one'))))
  const exported = (await test_.app.inject({ method: 'GET', url: path('/price-list.csv') })).body
  kitchen = await setUpKitchen(test_, 'Other')
  expect((await importList(exported)).last.result).toMatchObject({ newArticles: 1, newPrices: 1 })
  const template = await test_.app.inject({ method: 'GET', url: '/api/price-list-template.csv' })
  expect(template.body.trim()).toBe(Object.values(PRICE_COLUMNS).join(','))
})

describe('a price feed', () => {
  const withFeed = async (answer: string | null) => {
    const server = createServer((_request, reply) => reply.writeHead(answer === null ? 500 : 200).end(answer ?? ''))
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    const { port } = server.address() as { port: number }
    const app = await buildApp({
      database: test_.database,
      scale: { status: () => null } as never,
      priceFeed: `http://127.0.0.1:${port}`,
    })
    const reply = await app.inject({ method: 'POST', url: path('/price-lists/from-feed') })
    await app.close()
    server.close()
    return { status: reply.statusCode, body: reply.json() }
  }

  test('is pulled, once for each list', async () => {
    const csv = list(['Ostravale;1;Chicken;Chicken, eviscerated;3.2;kg;2026-11-24'])
    expect((await withFeed(csv)).body).toMatchObject({ newArticles: 1, newPrices: 1 })
    expect((await withFeed(csv)).body).toMatchObject({ newArticles: 0, newPrices: 0, known: 1 })
  })

  test('that is away, or sends something else, changes nothing', async () => {
    expect(await withFeed(null)).toMatchObject({ status: 503, body: { code: 'feed-away' } })
    expect(await withFeed('<html>')).toMatchObject({ status: 422, body: { code: 'price-list-wrong' } })
    expect(await send(test_, 'POST', path('/price-lists/from-feed'))).toMatchObject({ status: 503 })
    expect(await counts()).toBe(0)
  })
})
