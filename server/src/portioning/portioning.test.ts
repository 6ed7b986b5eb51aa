import type { PortionPlan, RackPlan } from '@fleam/core/portioning'
import plateCases from '../../../core/cases/plating.json'
import planCases from '../../../core/cases/portion-plan.json'
import { openTestApp, send, type TestApp } from '../../test/harness.ts'

let test_: TestApp
beforeAll(async () => {
  test_ = await openTestApp()
})
afterAll(() => test_.close())

test.each(planCases.map((testCase) => [testCase.name, testCase] as const))(
  '%s over HTTP',
  async (_name, { input, expect: expected }) => {
    const { status, body } = await send(test_, 'POST', '/api/portion-plan', input)
    expect(status).toBe(200)
    expect((body as PortionPlan).value).toBeCloseTo(expected.value, 6)
  },
)

test.each(plateCases.map((testCase) => [testCase.name, testCase] as const))(
  '%s over HTTP',
  async (_name, { input, expect: expected }) => {
    const { status, body } = await send(test_, 'POST', '/api/plating', input)
    expect(status).toBe(200)
    expect(body.plates).toHaveLength(expected.plates)
  },
)

const request = planCases[0]?.input as Record<string, unknown> & { piece: object; products: object[] }
const piece = request.piece as { weight: number; length: number; profile: object[] }
const product = request.products[0] as object

test.each([
  [
    'a profile that does not increase',
    {
      piece: {
        ...piece,
        profile: [
          { at: 0, girth: 100 },
          { at: 0, girth: 100 },
        ],
      },
    },
    'piece.profile[1].at',
  ],
  [
    'a girth of zero',
    {
      piece: {
        ...piece,
        profile: [
          { at: 0, girth: 0 },
          { at: 300, girth: 100 },
        ],
      },
    },
    'piece.profile[0].girth',
  ],
  [
    'a station without a measure',
    { piece: { ...piece, profile: [{ at: 0 }, { at: 300, girth: 100 }] } },
    'piece.profile[0]',
  ],
  ['a length beside the last station', { piece: { ...piece, length: 310 } }, 'piece.length'],
  ['a weight off by ten', { piece: { ...piece, weight: piece.weight * 10 } }, 'piece.weight'],
  ['bounds crossed', { products: [{ ...product, low: 300, high: 200 }] }, 'products[0].low'],
  [
    'thicknesses crossed',
    { products: [{ ...product, minThickness: 80, maxThickness: 20 }] },
    'products[0].minThickness',
  ],
  ['a product twice', { products: [product, product] }, 'products[1].name'],
  [
    'a thousand products',
    { products: Array.from({ length: 1000 }, (_, index) => ({ ...product, name: `p${index}` })) },
    'products',
  ],
  ['a step too fine', { step: 0.01 }, 'step'],
  ['a field nobody knows', { colour: 'red' }, 'colour'],
])('%s is refused with the field', async (_words, changes, path) => {
  const { status, body } = await send(test_, 'POST', '/api/portion-plan', { ...request, ...changes })
  expect(status).toBe(400)
  expect(body.issues[0].path).toBe(path)
})

test.each([
  ['everything fits everywhere', { low: 0, high: 1e8 }],
  ['each is bounded', { min: 1, max: 1000 }],
])(
  'more than memory holds is refused by arithmetic, and the next is planned: %s',
  async (_words, changes) => {
    const many = Array.from({ length: 20 }, (_, index) => ({ ...product, name: `p${index}`, ...changes }))
    const length = 1000
    const long = { weight: 20_000, length, profile: [0, length].map((at) => ({ at, area: 19_000 })) }
    const huge = { ...request, piece: long, products: many, step: 0.5 }
    const { status, body } = await send(test_, 'POST', '/api/portion-plan', huge)
    expect([status, body.code, body.issues[0]?.path]).toEqual([400, 'invalid-input', 'products'])
    expect((await send(test_, 'POST', '/api/portion-plan', request)).status).toBe(200)
  },
  60_000,
)

test('a rack is planned alone or with others, and refused where its eyes are not its bones', async () => {
  const rack = { weight: 780, bones: 8, boneWeight: 150, eye: [62, 61, 58, 55, 52, 49, 45, 42] }
  const bounds = { target: 150, low: 135, high: 175, perPortion: 'any', style: 'straight' }
  const one = await send(test_, 'POST', '/api/rack-plan', { rack, ...bounds })
  const both = await send(test_, 'POST', '/api/rack-plan', { racks: [rack, rack], ...bounds, style: 'pairs' })
  expect([one.status, both.status]).toEqual([200, 200])
  expect((both.body as RackPlan).boundaries).toHaveLength(2)
  const refused = await send(test_, 'POST', '/api/rack-plan', { rack: { ...rack, bones: 7 }, ...bounds })
  expect(refused.body.issues[0].path).toBe('rack.eye')
  expect((await send(test_, 'POST', '/api/rack-plan', bounds)).status).toBe(400)
})

test('two pieces as one log, with both alone', async () => {
  const { status, body } = await send(test_, 'POST', '/api/bonded-plan', {
    ...request,
    piece: undefined,
    pieces: [piece, piece],
  })
  expect(status).toBe(200)
  expect(body.alone).toHaveLength(2)
  expect(body.piece.weight).toBeCloseTo(piece.weight * 2, 6)
})

test('a piece twice on the table is refused', async () => {
  const input = {
    pieces: [
      { id: 'a', weight: 100, kind: 'dark' },
      { id: 'a', weight: 110, kind: 'dark' },
    ],
    plate: plateCases[0]?.input.plate,
  }
  const { body } = await send(test_, 'POST', '/api/plating', input)
  expect(body.issues[0].path).toBe('pieces[1].id')
})
