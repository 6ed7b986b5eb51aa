import fc from 'fast-check'
import cases from '../../cases/portion-plan.json'
import { LOIN } from '../../test/loin.ts'
import { bestByTrying } from '../../test/portions.ts'
import { planPortions } from './index.ts'
import type { PortionPlan } from './plan-answer.ts'
import type { PortionRequest } from './plan-request.ts'

test.each(cases.map((testCase) => [testCase.name, testCase] as const))(
  '%s brings what is known to be the most',
  (_name, { input, expect: expected }) => {
    const plan = planPortions(input as PortionRequest)
    expect(plan.value).toBeCloseTo(expected.value, 6)
    expectWhole(plan, input as PortionRequest)
  },
)

/** Pieces, scrap and kerf fill the piece, every piece fits its product, and counts hold. */
function expectWhole(plan: PortionPlan, request: PortionRequest) {
  const { piece, products, kerf = 0, minScrap = 10 } = request
  const parts = [
    ...plan.pieces.map(({ from, to }) => [from, to, kerf] as const),
    ...plan.scrap.parts.map(([from, to]) => [from, to, 0] as const),
  ]
  parts.sort((a, b) => a[0] - b[0])
  let at = 0
  for (const [from, to, lost] of parts) {
    expect(from).toBeCloseTo(at, 6)
    at = Math.min(piece.length, to + lost)
  }
  expect(at).toBeCloseTo(piece.length, 6)
  for (const [from, to] of plan.scrap.parts) expect(to - from).toBeGreaterThanOrEqual(minScrap - 1e-9)
  for (const cut of plan.pieces) {
    const product = products.find((product) => product.name === cut.product)
    expect(cut.weight).toBeGreaterThanOrEqual((product?.low ?? 0) - 1e-9)
    expect(cut.weight).toBeLessThanOrEqual((product?.high ?? 0) + 1e-9)
    expect(cut.thickness).toBeGreaterThanOrEqual((product?.minThickness ?? 0) - 1e-9)
    expect(Math.min(...cut.faces)).toBeGreaterThanOrEqual((product?.minFace ?? 0) - 1e-9)
  }
  const missing = new Set(plan.unmet.map((product) => product.product))
  for (const { name, max = Number.POSITIVE_INFINITY, min = 0 } of products) {
    expect(plan.portions[name]).toBeLessThanOrEqual(max)
    if (!missing.has(name)) expect(plan.portions[name]).toBeGreaterThanOrEqual(min)
  }
}

const product = (name: string) =>
  fc.record({
    name: fc.constant(name),
    target: fc.integer({ min: 20, max: 80 }),
    low: fc.integer({ min: 10, max: 20 }),
    high: fc.integer({ min: 30, max: 100 }),
    minThickness: fc.integer({ min: 0, max: 3 }),
    maxThickness: fc.integer({ min: 4, max: 12 }),
    minFace: fc.integer({ min: 0, max: 30 }),
    value: fc.integer({ min: 1, max: 20 }),
    max: fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined }),
    min: fc.option(fc.integer({ min: 0, max: 1 }), { nil: undefined }),
  })

const request = fc
  .record({
    girths: fc.array(fc.integer({ min: 40, max: 160 }), { minLength: 3, maxLength: 4 }),
    weight: fc.integer({ min: 60, max: 300 }),
    products: fc.tuple(product('a'), product('b')),
    scrapPerKg: fc.integer({ min: 0, max: 30 }),
    minScrap: fc.integer({ min: 1, max: 4 }),
    kerf: fc.integer({ min: 0, max: 2 }),
    step: fc.constantFrom(1, 2),
  })
  .map(({ girths, weight, products, scrapPerKg, ...rules }): PortionRequest => {
    const length = 4 * (girths.length - 1)
    const profile = girths.map((girth, index) => ({ at: index * 4, girth }))
    return { piece: { weight, length, profile }, products, scrap: { valuePerKg: scrapPerKg }, ...rules }
  })

test('agrees with trying everything on small pieces', () => {
  fc.assert(
    fc.property(request, (small) => {
      const best = bestByTrying(small)
      const plan = planPortions(small)
      if (best === null) expect(plan.unmet.length).toBeGreaterThan(0)
      else {
        expect(plan.unmet).toEqual([])
        expect(plan.value).toBeCloseTo(best.value, 8)
        expect(plan.pieces).toHaveLength(best.pieces)
      }
      expectWhole(plan, small)
    }),
    { numRuns: 300 },
  )
})

const loin = (changes: Partial<PortionRequest> = {}): PortionRequest => ({
  piece: LOIN,
  products: [
    {
      name: 'centre steak',
      target: 200,
      low: 190,
      high: 215,
      minThickness: 25,
      maxThickness: 60,
      minFace: 60,
      value: 11.5,
      max: 4,
    },
    { name: 'medallion', target: 90, low: 80, high: 105, minThickness: 18, minFace: 38, value: 3.9 },
    { name: 'roast', target: 600, low: 450, high: 800, minThickness: 90, value: 27, max: 1 },
  ],
  scrap: { name: 'tips', valuePerKg: 14 },
  ...changes,
})

test('a piece too small for any product is all scrap', () => {
  const plan = planPortions(
    loin({
      piece: {
        weight: 60,
        length: 60,
        profile: [
          { at: 0, girth: 90 },
          { at: 60, girth: 80 },
        ],
      },
    }),
  )
  expect(plan.pieces).toEqual([])
  expect(plan.cuts).toEqual([])
  expect(plan.scrap.weight).toBeCloseTo(60, 9)
})

test('a least number that cannot be met is named, and the rest is planned all the same', () => {
  const products = loin().products.map((product) =>
    product.name === 'roast' ? { ...product, min: 4, max: 4 } : product,
  )
  const plan = planPortions(loin({ products }))
  expect(plan.unmet).toEqual([{ product: 'roast', min: 4 }])
  expect(plan.pieces.length).toBeGreaterThan(0)
})

test('a request for scrap is met by the least rise of its value, and says what it costs', () => {
  const plain = planPortions(loin())
  const requested = planPortions(loin({ scrap: { valuePerKg: 14, atLeast: plain.scrap.weight + 200 } }))
  expect(requested.scrap.weight).toBeGreaterThanOrEqual(plain.scrap.weight + 200 - 1e-9)
  expect(requested.scrapRequest).toMatchObject({ isMet: true })
  expect(requested.scrapRequest?.costs).toBeCloseTo(plain.value - requested.value, 9)
  expect(requested.scrapRequest?.costs).toBeGreaterThan(0)
  // At a value a little lower than the one it was raised to, the plan has not enough of it.
  const raisedTo = requested.scrapRequest?.raisedTo as number
  const below = planPortions(loin({ scrap: { valuePerKg: raisedTo - 1e-4 } }))
  expect(below.scrap.weight).toBeLessThan(plain.scrap.weight + 200)
})

test('more scrap than there is meat is a request that is not met', () => {
  expect(planPortions(loin({ scrap: { valuePerKg: 14, atLeast: 5000 } })).scrapRequest).toMatchObject({ isMet: false })
})

test('cut by thickness, every piece is as thick as asked and its weight is what comes out', () => {
  const products = [{ name: 'slice', target: 100, low: 30, high: 300, targetThickness: 25, value: 5 }]
  const plan = planPortions(loin({ products, scrap: { valuePerKg: 1 } }))
  expect(new Set(plan.pieces.map((piece) => piece.thickness))).toEqual(new Set([25]))
  const [spread] = plan.spreads
  expect(spread?.heaviest).toBeGreaterThan((spread?.lightest as number) + 20)
  expect(spread?.givenAway).toBeGreaterThan(0)
})

test('a slanted blade makes faces larger and slices thinner, and leaves the weight and the length', () => {
  const products = [{ name: 'slice', target: 100, low: 80, high: 120, value: 5 }]
  const square = planPortions(loin({ products }))
  const bias = planPortions(loin({ products, piece: { ...loin().piece, biasAngle: 60 } }))
  expect(bias.pieces.map((piece) => piece.weight)).toEqual(square.pieces.map((piece) => piece.weight))
  expect(bias.pieces[0]?.thickness).toBeCloseTo((square.pieces[0]?.thickness as number) / 2, 9)
  // Along the piece, where the knife is led, the parts add up to it.
  const along = [...bias.pieces.map(({ from, to }) => to - from), ...bias.scrap.parts.map(([from, to]) => to - from)]
  expect(along.reduce((sum, length) => sum + length, 0)).toBeCloseTo(LOIN.length, 9)
  expect(bias.pieces[0]?.faces[0]).toBeCloseTo((square.pieces[0]?.faces[0] as number) * Math.SQRT2, 9)
})

test('a folded tail is half as long, and its faces are as those of two layers', () => {
  const folded = { name: 'folded tail', target: 120, low: 100, high: 140, minThickness: 20, value: 6, folded: true }
  const plan = planPortions(loin({ products: [{ ...folded, within: [300, 420] }] }))
  const [piece] = plan.pieces
  expect(piece?.thickness).toBeCloseTo(((piece?.to as number) - (piece?.from as number)) / 2, 9)
  expect(piece?.from).toBeGreaterThanOrEqual(300)
})
