import {
  assumptionsOf,
  editOf,
  type FabricationState,
  type Item,
  type Kitchen,
  type Lot,
  lotEditOf,
  type Product,
  type Style,
} from '@fleam/contract'
import { QueryTypes } from 'sequelize'
import { v7 as newId } from 'uuid'
import { sixChickens } from '../../core/test/documents.ts'
import { openTestApp, send, setUpKitchen, startOf, type TestApp, weighing } from './harness.ts'

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

interface Asked {
  method: Method
  url: string
  payload: unknown
}

let test_: TestApp
let home: Kitchen
let other: Kitchen
const asked: Asked[] = []

beforeAll(async () => {
  test_ = await openTestApp()
  ;[home, other] = [await setUpKitchen(test_, 'Home'), await setUpKitchen(test_, 'Other')]
  await fillHome()
}, 60_000)
afterAll(() => test_.close())

/** Asks the home kitchen, and remembers what was asked. */
async function ask<T>(method: Method, rest: string, payload?: unknown): Promise<T> {
  const url = `/api/kitchens/${home.id}${rest}`
  asked.push({ method, url, payload })
  const { status, body } = await send(test_, method, url, payload)
  if (status >= 300) throw new Error(`${method} ${rest} ${JSON.stringify(body)}`)
  return body
}

const PICTURE = Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]).toString('base64')

/** Everything that a kitchen can do, once: what it has afterwards has ids of every kind. */
async function fillHome(): Promise<void> {
  const [item] = (await ask<Item[]>('GET', '/items')) as [Item]
  const style = item.styles.find((each) => each.name.startsWith('Supremes')) as Style
  const [cookId, supplierId, unlike] = [newId(), newId(), newId()]
  await ask('POST', '/cooks', { id: cookId, name: 'Marit', wagePerHour: 27.5 })
  await ask('PUT', '/suppliers', { id: supplierId, name: 'Ostravale', delivery: 4, minimumOrder: 50 })
  await ask('PUT', '/suppliers', { id: unlike, name: 'Ostraval', delivery: 0, minimumOrder: null })
  await ask('POST', `/suppliers/${unlike}/merge`, { into: supplierId })
  await ask('POST', '/containers', { id: newId(), name: 'blue tub', grams: 640 })
  const [tub] = (await ask<{ id: string }[]>('GET', '/containers')) as [{ id: string }]
  const caution = {
    reason: 'colder here',
    text: 'Back into the cold after 25 minutes.',
    boardMinutes: 25,
    outMinutes: 90,
  }
  await ask('PUT', '/cautions/cold-chain', { cautionId: 'cold-chain', ...caution })
  const [product] = (await ask<Product[]>('GET', '/products')) as [Product]
  const offer = { name: 'Ready', pile: 'supremes', price: { amount: 76, per: 'case' }, pieces: 20, pieceWeight: 280 }
  await ask('POST', '/offers', { id: newId(), styleId: style.id, supplierId, offer })
  const sizes = { pieceWeight: 2100, packPieces: 6, packWeight: null, delivery: null, minimumOrder: null }
  const ready = { usableShare: null, handlingMinutesPerPiece: null, from: '2026-11-01', until: null }
  const price = { price: { amount: 4, per: 'kg' }, kind: 'whole', itemId: item.id, productId: null, ...sizes, ...ready }
  await ask('POST', '/prices', { supplierId, code: 'C1', name: 'Chicken', ...price })
  const csv = 'article;price;unit\nDuck;3;kg'
  const mapping = { columns: { name: 'article', amount: 'price', per: 'unit' }, supplier: 'Ostravale', kind: 'whole' }
  asked.push({
    method: 'POST',
    url: `/api/kitchens/${home.id}/price-lists`,
    payload: { csv, mapping: { ...mapping, from: '2026-11-24', decimal: 'auto' } },
  })
  asked.push({ method: 'POST', url: `/api/kitchens/${home.id}/price-lists/from-feed`, payload: undefined })
  await ask('GET', '/articles')
  await ask('GET', `/forms?product=${product.id}`)
  const lot = {
    id: newId(),
    version: 1,
    itemId: item.id,
    supplierId,
    code: 'L-4471',
    gtin: null,
    price: { amount: 4, per: 'kg' },
    extras: null,
    pieces: 12,
    receivedOn: '2026-11-23',
    productionDate: null,
    useBy: '2026-12-02',
    openedOn: null,
    isFinished: false,
    notes: null,
    cases: [{ id: newId(), label: null, serial: null, invoiceWeight: 12_600, weighed: null }],
    checks: [],
  }
  const received = await ask<Lot>('POST', '/lots', lot)
  await ask('PUT', `/lots/${lot.id}`, { ...lotEditOf(received), notes: 'stiff' })
  await ask('POST', `/lots/${lot.id}/photos`, { id: newId(), takenAt: '2026-11-23T09:00:00.000Z', picture: PICTURE })
  const wish = { ...startOf(style.id), cookId, supplierId, lotId: lot.id }
  const { record } = await ask<FabricationState>('POST', '/fabrications', wish)
  const pileId = record.piles[0]?.id as string
  await ask('POST', '/facts', { facts: [weighing(record.id, pileId, 281), weighing(record.id, pileId, 283, 2)] })
  await ask('PUT', `/fabrications/${record.id}`, editOf(record, { notes: 'by hand' }))
  const whatIf = {
    id: newId(),
    createdAt: '2026-11-24T09:00:00.000Z',
    name: 'Dearer',
    assumptions: assumptionsOf(record),
  }
  await ask('PUT', `/fabrications/${record.id}/what-ifs/${whatIf.id}`, whatIf)
  const names = 'item=none&style=none&supplier=none&cook=none'
  await ask('POST', `/fabrications/import?id=${newId()}&${names}`, sixChickens())
  const piles = style.piles.map((pile) => ({ ...pile, id: newId() }))
  const own = { ...style, id: newId(), name: 'Our own', piles }
  await ask('POST', `/items/${item.id}/styles`, own)
  await ask('PUT', `/styles/${own.id}`, { ...own, minutesPerUnit: 8 })
  const file = await ask('GET', `/styles/${own.id}/style.json`)
  await ask('POST', `/styles/import?id=${newId()}`, file)
  await ask('POST', '/items/from-catalogue')
  const { id: _id, styles: _styles, ...fields } = item
  await ask('PUT', `/items/${item.id}`, { ...fields, name: 'Hen' })
  await ask('POST', '/items', { ...item, id: newId(), name: 'Another', styles: [] })
  // What is taken away here is taken away last.
  asked.push({
    method: 'DELETE',
    url: `/api/kitchens/${home.id}/fabrications/${record.id}/what-ifs/${whatIf.id}`,
    payload: undefined,
  })
  asked.push({ method: 'DELETE', url: `/api/kitchens/${home.id}/containers/${tub.id}`, payload: undefined })
  asked.push({ method: 'DELETE', url: `/api/kitchens/${home.id}/cautions/cold-chain`, payload: undefined })
}

/** Every row of every table that belongs to a kitchen. */
async function everythingOf({ id }: Kitchen): Promise<Record<string, unknown[]>> {
  const { sequelize } = test_.database
  const tables = await sequelize.query<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.columns
     WHERE table_schema = DATABASE() AND column_name = 'kitchen_id' ORDER BY table_name`,
    { type: QueryTypes.SELECT },
  )
  const all: Record<string, unknown[]> = {}
  for (const { name } of tables) {
    const rows = await sequelize.query(`SELECT * FROM ${name} WHERE kitchen_id = ?`, {
      replacements: [id],
      type: QueryTypes.SELECT,
    })
    all[name] = rows.map((row) => JSON.stringify(row)).sort()
  }
  return all
}

const ID = /^[0-9a-f]{8}-[0-9a-f-]{27}$/

/** The same with other words and numbers, so that a change would be seen; ids, days, instants and kinds stay. */
function changed(value: unknown, key = ''): unknown {
  if (Array.isArray(value)) return value.map((each) => changed(each, key))
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([field, each]) => [field, changed(each, field)]))
  if (key === 'name' && typeof value === 'string' && !ID.test(value)) return `${value} x`
  if (
    ['delivery', 'grams', 'wagePerHour', 'amount', 'minutes', 'boardMinutes'].includes(key) &&
    typeof value === 'number'
  )
    return value + 1
  return key === 'notes' ? 'changed by a stranger' : value
}

const operationOf = ({ method, url }: Asked): string => {
  const path = url.split('?')[0] as string
  const paths = Object.keys(test_.app.swagger().paths ?? {})
  const found = paths
    .filter((each) => new RegExp(`^${each.replace(/\{[^}]+\}/g, '[^/]+')}$`).test(path))
    .sort((a, b) => a.split('{').length - b.split('{').length)[0]
  return `${method.toLowerCase()} ${found}`
}

test('whatever one kitchen asks, asked again through another one, leaves the first as it was', async () => {
  const before = await everythingOf(home)
  expect(Object.values(before).filter((rows) => rows.length > 0).length).toBeGreaterThan(15)
  for (const { method, url, payload } of asked) {
    const through = url.replace(home.id, other.id)
    for (const body of payload === undefined ? [undefined] : [payload, changed(payload)]) {
      const answer = await test_.app.inject({
        method,
        url: through,
        ...(body === undefined ? {} : { payload: body as object }),
      })
      expect({ method, through, isFault: answer.statusCode === 500 }).toEqual({ method, through, isFault: false })
      expect({ method, through, left: await everythingOf(home) }).toEqual({ method, through, left: before })
    }
  }
}, 120_000)

test('nothing of one kitchen is read through another', async () => {
  const ids = new Set(
    asked.flatMap(({ url }) => url.split(/[/?=&]/).filter((word) => ID.test(word) && word !== home.id)),
  )
  const reads = Object.entries(test_.app.swagger().paths ?? {}).filter(
    ([path, each]) => path.includes('{kitchenId}') && 'get' in (each ?? {}),
  )
  expect(reads.length).toBeGreaterThan(20)
  for (const [path] of reads.filter(([each]) => each.split('{').length === 3)) {
    for (const id of ids) {
      const url = path.replace('{kitchenId}', other.id).replace(/\{[^}]+\}/, id)
      expect({ url, status: (await test_.app.inject({ url })).statusCode }).toEqual({ url, status: expect.any(Number) })
      expect({ url, isGiven: (await test_.app.inject({ url })).statusCode === 200 }).toEqual({ url, isGiven: false })
    }
  }
})

test('every operation that changes a kitchen is among them', () => {
  const tried = new Set(asked.map(operationOf))
  const missing = Object.entries(test_.app.swagger().paths ?? {}).flatMap(([path, each]) =>
    Object.keys(each ?? {})
      .filter((method) => method !== 'get' && path.includes('{kitchenId}'))
      .map((method) => `${method} ${path}`)
      .filter((operation) => !tried.has(operation)),
  )
  expect(missing).toEqual([])
})
