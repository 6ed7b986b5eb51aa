import { platingRequest } from '../plating/index.ts'
import { KNIFE_LINES_FORMAT, type KnifeLines, knifeLines } from './knife-lines.ts'
import { portionPiece, portionRequest } from './plan-request.ts'
import { rackRequest, racksRequested } from './rack-request.ts'

const piece = {
  weight: 1480,
  length: 420,
  profile: [
    { at: 0, girth: 150 },
    { at: 120, width: 82, height: 60 },
    { at: 300, area: 5300 },
    { at: 420, girth: 120 },
  ],
}
const product = { name: 'steak', target: 200, low: 190, high: 215, value: 11.5 }
const pathsOf = (result: { success: boolean; error?: { issues: { path: PropertyKey[] }[] } | undefined }) =>
  result.error?.issues.map((issue) => issue.path.join('.')) ?? []

test('a piece may mix ways of measuring, and comes out as it went in', () => {
  const result = portionPiece.parse(piece)
  expect(result.profile).toEqual(piece.profile)
})

test.each([
  ['two ways at one place', { at: 0, girth: 150, area: 900 }],
  ['a width without a height', { at: 0, width: 80 }],
  ['nothing at all', { at: 0 }],
])('a station with %s is refused', (_words, first) => {
  const profile = [first, ...piece.profile.slice(1)]
  expect(pathsOf(portionPiece.safeParse({ ...piece, profile }))).toEqual(['profile.0'])
})

test('defaults are those of a knife', () => {
  expect(portionRequest.parse({ piece, products: [product] })).toMatchObject({
    minScrap: 10,
    kerf: 0,
    step: 1,
    scrap: { valuePerKg: 0 },
  })
})

test.each([
  ['low above high', { low: 220 }, 'products.0.low'],
  ['min above max', { min: 3, max: 2 }, 'products.0.min'],
  ['a place from behind', { within: [300, 100] }, 'products.0.within'],
  ['a target of nothing', { target: 0 }, 'products.0.target'],
])('a product with %s is refused', (_words, changes, path) => {
  expect(pathsOf(portionRequest.safeParse({ piece, products: [{ ...product, ...changes }] }))).toContain(path)
})

test('a rack comes alone or with others', () => {
  const rack = { weight: 780, bones: 8, boneWeight: 150, eye: [62, 61, 58, 55, 52, 49, 45, 42] }
  const bounds = { target: 150, low: 135, high: 175 }
  expect(racksRequested.parse({ rack, ...bounds })).toEqual({
    racks: [rack],
    ...bounds,
    perPortion: 'any',
    style: 'straight',
  })
  expect(racksRequested.parse({ racks: [rack, rack], ...bounds }).racks).toHaveLength(2)
  expect(pathsOf(rackRequest.safeParse({ rack, racks: [rack], ...bounds }))).toEqual(['rack'])
  expect(pathsOf(rackRequest.safeParse({ rack: { ...rack, boneWeight: 780 }, ...bounds }))).toEqual(['rack.boneWeight'])
})

test('a plate that asks twice for a kind is refused', () => {
  const plate = {
    low: 1,
    target: 2,
    high: 3,
    needs: [
      { kind: 'dark', count: 1 },
      { kind: 'dark', count: 2 },
    ],
  }
  expect(pathsOf(platingRequest.safeParse({ pieces: [], plate }))).toEqual(['plate.needs.1.kind'])
})

describe('knife lines as a file', () => {
  const file: KnifeLines = {
    format: KNIFE_LINES_FORMAT,
    version: 1,
    shape: 'tenderloin',
    way: 'girths',
    weight: 2100,
    length: 480,
    girths: [{ at: 0, girth: 208 }],
    outline: [],
    biasAngle: 0,
    products: [product],
    scrap: { name: 'tips', valuePerKg: 14 },
    minScrap: 10,
    kerf: 0,
    step: 1,
    belly: null,
    notch: { from: 30, to: 190, width: 12, depth: 10 },
    lines: [44, 80],
    taken: [{ thickness: 44, weight: 214, product: 'steak', planned: 207 }],
  }

  test('go out and in without a change', () => {
    expect(knifeLines.parse(JSON.parse(JSON.stringify(file)))).toEqual(file)
  })

  test.each([
    ['format', 'something else'],
    ['version', 2],
    ['way', 'by eye'],
    ['weight', -1],
    ['lines', [-4]],
  ])('with another %s are refused', (field, value) => {
    expect(pathsOf(knifeLines.safeParse({ ...file, [field]: value }))[0]).toMatch(new RegExp(`^${field}`))
  })
})
