import { readdirSync } from 'node:fs'
import { appraise } from '@fleam/core/appraisal'
import type { FabricationDocument } from '@fleam/core/fabrication'
import cases from '../../core/cases/appraise.json'
import { sixChickens } from '../../core/test/documents.ts'
import { addSupplier, openTestApp, send, setUpKitchen, type TestApp } from '../test/harness.ts'

const MIGRATIONS = readdirSync(new URL('./database/migrations/', import.meta.url)).filter((file) => /^\d/.test(file))

let test_: TestApp
beforeAll(async () => {
  test_ = await openTestApp()
})
afterAll(() => test_.close())

const document = (changes: object = {}) =>
  ({ ...structuredClone(cases[0]?.input), ...changes }) as Record<string, never>

test('health says that the database is there and its schema is up to date', async () => {
  const { status, body } = await send(test_, 'GET', '/api/health')
  expect(status).toBe(200)
  expect(body).toEqual({
    status: 'ready',
    version: expect.any(String),
    database: 'up',
    disk: 'room',
    migrations: { applied: MIGRATIONS.length, pending: 0 },
  })
})

test.each(['/api/kitchens/%ff', '/%ff', `/api/kitchens/${'x'.repeat(300)}/items`])(
  'an address that nobody can read is a problem like any other: %s',
  async (url) => {
    const answer = await test_.app.inject({ url })
    expect([answer.headers['content-type'], answer.json().type.slice(0, 10)]).toEqual([
      'application/problem+json; charset=utf-8',
      '/problems/',
    ])
    expect(answer.statusCode).toBeGreaterThanOrEqual(400)
    expect(answer.statusCode).toBeLessThan(500)
  },
)

test('OpenAPI describes every route from the same schemas', async () => {
  const { body } = await send(test_, 'GET', '/api/openapi.json')
  expect(Object.keys(body.paths)).toEqual(expect.arrayContaining(['/api/appraise', '/api/kitchens/{kitchenId}/facts']))
  expect(Object.keys(body.components.schemas.FabricationDocumentInput.properties)).toContain('creditPolicy')
})

test('OpenAPI names, sums up and describes every operation with what it refuses', async () => {
  const { body } = await send(test_, 'GET', '/api/openapi.json')
  expect(body.openapi).toBe('3.1.0')
  interface Operation {
    operationId: string
    summary: string
    responses: Record<string, { description: string; content?: Record<string, { schema: object }> }>
  }
  const operations = Object.values(body.paths as Record<string, Record<string, Operation>>).flatMap((path) =>
    Object.values(path),
  )
  expect(operations.length).toBeGreaterThan(50)
  const ids = operations.map((operation) => operation.operationId)
  expect(ids.filter((id) => !/^[a-z]+(?:[A-Z][a-z]+)*$/.test(id))).toEqual([])
  expect(new Set(ids).size).toBe(ids.length)
  for (const { operationId, summary, responses } of operations) {
    const refusals = Object.entries(responses).filter(
      ([status, each]) => status >= '400' && each.content?.['application/problem+json'],
    )
    expect({ operationId, summary: summary.length > 8, isInternalNamed: responses[500]?.description }).toEqual({
      operationId,
      summary: true,
      isInternalNamed: expect.stringContaining('`internal`'),
    })
    for (const [, { content }] of refusals) {
      expect(content?.['application/problem+json']?.schema).toEqual({ $ref: '#/components/schemas/Problem' })
    }
    expect(Object.keys(responses).some((status) => status.startsWith('2'))).toBe(true)
  }
})

test('the description can be read as a page, with nothing from elsewhere', async () => {
  const page = await test_.app.inject('/api/docs/')
  expect(page.statusCode).toBe(200)
  expect(page.headers['content-security-policy']).toContain("default-src 'none'")
  expect(page.body).not.toMatch(/(?:src|href)="https?:/)
})

test('answers carry security headers', async () => {
  const { headers } = await send(test_, 'GET', '/api/kitchens')
  expect(headers['content-security-policy']).toContain("default-src 'none'")
  expect(headers['x-content-type-options']).toBe('nosniff')
})

describe('appraise', () => {
  test.each(cases.map((testCase) => [testCase.name, testCase] as const))('%s', async (_name, entry) => {
    const { status, body } = await send(test_, 'POST', '/api/appraise', entry.input)
    expect(status).toBe(200)
    expect(body.cost.net).toBeCloseTo(entry.expect.cost.net, 7)
    expect(body.warnings.map((warning: { code: string }) => warning.code)).toEqual(entry.expect.warnings)
  })

  const first = document()
  const [pile, ...others] = first.piles as unknown as Record<string, unknown>[]
  const purchase = first.purchase as unknown as Record<string, unknown>
  const price = purchase.price as object
  for (const [what, changes, field] of [
    ['a negative weight', { piles: [{ ...pile, pieces: [-1] }, ...others] }, 'piles[0].pieces[0]'],
    ['an enormous weight', { purchase: { ...purchase, invoiceWeight: 1e300 } }, 'purchase.invoiceWeight'],
    ['a weight that is not a number', { purchase: { ...purchase, receivedWeight: null } }, 'purchase.receivedWeight'],
    ['text for a number', { purchase: { ...purchase, invoiceWeight: '12600' } }, 'purchase.invoiceWeight'],
    ['no invoice weight', { purchase: { price } }, 'purchase.invoiceWeight'],
    ['an unknown field', { colour: 'red' }, 'colour'],
    ['an unknown field deep down', { purchase: { ...purchase, price: { ...price, vat: 1 } } }, 'purchase.price.vat'],
    ['a pile named twice', { piles: [pile, ...others, { ...others[0] }] }, 'piles[5].name'],
    ['another version', { version: 2 }, 'version'],
    ['another format', { format: 'something/else' }, 'format'],
    ['no primary pile', { piles: others.slice(1), offers: [] }, 'piles'],
    ['weight and pieces', { piles: [{ ...pile, weight: 5 }, ...others] }, 'piles[0].weight'],
    ['neither weight nor pieces', { piles: [{ ...pile, pieces: undefined }, ...others] }, 'piles[0].weight'],
    [
      'an offer for no pile',
      { offers: [{ name: 'x', pile: 'bin', price, pieceWeight: 1, pieces: 1 }] },
      'offers[0].pile',
    ],
    ['a share above one', { piles: [pile, { ...others[0], usedShare: 1.5 }] }, 'piles[1].usedShare'],
    [
      'waste that is worth something',
      { piles: [pile, others[0], { name: 'w', class: 'waste', weight: 1, valuePerKg: 2 }] },
      'piles[2].valuePerKg',
    ],
    [
      'a price per piece without pieces',
      { purchase: { price: { amount: 1, per: 'piece' }, invoiceWeight: 1 } },
      'purchase.pieces',
    ],
    ['more liquid than weight', { purchase: { price, invoiceWeight: 10, purge: 11, cases: 1 } }, 'purchase.purge'],
  ] as const) {
    test(`refuses ${what} and names ${field}`, async () => {
      const { status, body } = await send(test_, 'POST', '/api/appraise', document(changes))
      expect([status, body.code]).toEqual([400, 'invalid-input'])
      expect(body.issues.map((issue: { path: string }) => issue.path)).toContain(field)
    })
  }

  test('refuses what is not JSON, nothing at all, and far too much', async () => {
    const post = (payload: string, type = 'application/json') =>
      test_.app.inject({ method: 'POST', url: '/api/appraise', headers: { 'content-type': type }, payload })
    expect((await post('{')).json().code).toBe('not-json')
    expect((await post('')).json().code).toBe('not-json')
    expect((await post('{"a":1e999}')).json().code).toBe('invalid-input')
    expect((await post('x', 'text/plain')).json().code).toBe('wrong-media-type')
    expect((await post(`"${'x'.repeat(2_000_000)}"`)).json().code).toBe('too-large')
    expect((await post('{"__proto__": {"a": 1}}')).statusCode).toBe(400)
  })
})

describe('kitchens', () => {
  test('are set up once, with the catalogue’s items as their own', async () => {
    const kitchen = await setUpKitchen(test_, 'Once')
    expect((await send(test_, 'POST', '/api/kitchens', kitchen)).status).toBe(201)
    expect((await send(test_, 'POST', '/api/kitchens', { ...kitchen, name: 'Twice' })).body.code).toBe('id-taken')
    const { body } = await send(test_, 'GET', `/api/kitchens/${kitchen.id}/items`)
    expect(body[0].styles.length).toBeGreaterThan(3)
  })

  test('refuse a wrong currency, zone and unit by field', async () => {
    const { body } = await send(test_, 'POST', '/api/kitchens', {
      id: 'x',
      name: '',
      currency: 'euro',
      units: 'stone',
      timeZone: 'Mars',
      wagePerHour: -1,
    })
    expect(body.issues.map((issue: { path: string }) => issue.path)).toEqual([
      'id',
      'name',
      'currency',
      'units',
      'timeZone',
      'wagePerHour',
    ])
  })

  test('keep cooks, style values and offers to themselves', async () => {
    const [mine, other] = [await setUpKitchen(test_, 'Mine'), await setUpKitchen(test_, 'Theirs')]
    const path = `/api/kitchens/${mine.id}`
    const cook = { id: crypto.randomUUID(), name: 'Marit', wagePerHour: 21.4 }
    expect((await send(test_, 'POST', `${path}/cooks`, cook)).status).toBe(201)
    expect((await send(test_, 'POST', `${path}/cooks`, { ...cook, id: crypto.randomUUID() })).body.code).toBe(
      'id-taken',
    )
    const [style] = (await send(test_, 'GET', `${path}/items`)).body[0].styles
    const valued = { ...style, piles: style.piles.map((pile: object) => ({ ...pile, usedShare: 0.5 })) }
    expect((await send(test_, 'PUT', `${path}/styles/${style.id}`, valued)).body).toEqual({ ...valued, version: 2 })
    const pileNamed = (name: string) => style.piles.find((pile: { name: string }) => pile.name === name)?.id
    const offer = {
      id: crypto.randomUUID(),
      styleId: style.id,
      supplierId: await addSupplier(test_, mine, 'Plattenkar Provisions'),
      offer: {
        name: 'Ready',
        pileId: pileNamed('supremes'),
        price: { amount: 76, per: 'case' },
        pieces: 20,
        pieceWeight: 280,
      },
    }
    expect((await send(test_, 'POST', `${path}/offers`, offer)).status).toBe(201)
    expect(
      (
        await send(test_, 'POST', `${path}/offers`, {
          ...offer,
          id: crypto.randomUUID(),
          offer: { ...offer.offer, pileId: pileNamed('bin') },
        })
      ).body.code,
    ).toBe('pile-unknown')
    expect((await send(test_, 'PUT', `/api/kitchens/${other.id}/styles/${style.id}`, valued)).status).toBe(404)
    expect((await send(test_, 'POST', `/api/kitchens/${other.id}/offers`, offer)).status).toBe(404)
    expect((await send(test_, 'GET', `/api/kitchens/${other.id}/offers`)).body).toEqual([])
    expect((await send(test_, 'GET', `/api/kitchens/${other.id}/cooks`)).body).toEqual([])
  })
})

test('what nobody answers is a problem, not a page', async () => {
  const { status, body } = await send(test_, 'GET', '/api/nowhere')
  expect([status, body.code]).toEqual([404, 'not-found'])
})

test('a long document is read beside the server, and says the same of what is wrong with it', async () => {
  const pieces = Array.from({ length: 9_000 }, (_, index) => 250 + (index % 60))
  const [first, ...rest] = sixChickens().piles
  const long = { ...sixChickens(), piles: [{ ...first, pieces }, ...rest] }
  const { status, body } = await send(test_, 'POST', '/api/appraise', long)
  expect(status).toBe(200)
  expect(body).toEqual(JSON.parse(JSON.stringify(appraise(long as FabricationDocument))))
  const wrong = { ...long, piles: [{ ...first, pieces: [...pieces.slice(1), -1] }, ...rest] }
  const refused = await send(test_, 'POST', '/api/appraise', wrong)
  expect([refused.status, refused.body.code, refused.body.issues[0]?.path]).toEqual([
    400,
    'invalid-input',
    'piles[0].pieces[8999]',
  ])
  const half = JSON.stringify(long).slice(0, -50)
  const response = await test_.app.inject({
    method: 'POST',
    url: '/api/appraise',
    headers: { 'content-type': 'application/json' },
    payload: half,
  })
  expect([response.statusCode, response.json().code]).toEqual([400, 'not-json'])
  const many = { ...long, piles: [{ ...first, pieces: [...pieces, ...pieces] }, ...rest] }
  const tooMany = await send(test_, 'POST', '/api/appraise', many)
  expect([tooMany.status, tooMany.body.issues[0]?.path]).toEqual([400, 'piles[0].pieces'])
})
