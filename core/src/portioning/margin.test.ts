import fc from 'fast-check'
import { LOIN } from '../../test/loin.ts'
import { bestByTrying } from '../../test/portions.ts'
import { type Explanation, evaluate } from '../explanation/index.ts'
import { explainWithin, shareWithin } from './expected-within.ts'
import { judgeCuts, planPortions } from './index.ts'
import type { PortionRequest } from './plan-request.ts'
import { drawnIn, marginFor } from './product.ts'

const request = (changes: Partial<PortionRequest> = {}): PortionRequest => ({
  piece: LOIN,
  products: [{ name: 'steak', target: 220, low: 205, high: 240, value: 9 }],
  scrap: { valuePerKg: 14 },
  ...changes,
})

const small = fc
  .record({
    girths: fc.array(fc.integer({ min: 40, max: 160 }), { minLength: 3, maxLength: 4 }),
    weight: fc.integer({ min: 60, max: 300 }),
    target: fc.integer({ min: 25, max: 70 }),
    low: fc.integer({ min: 10, max: 25 }),
    high: fc.integer({ min: 40, max: 100 }),
    value: fc.integer({ min: 1, max: 20 }),
    scrapPerKg: fc.integer({ min: 0, max: 200 }),
    minScrap: fc.integer({ min: 1, max: 4 }),
    kerf: fc.integer({ min: 0, max: 1 }),
    within: fc.option(fc.constantFrom([0, 5] as const, [3, 8] as const), { nil: undefined }),
    margin: fc.constantFrom(0, 0.05, 0.2),
  })
  .map(({ girths, weight, scrapPerKg, minScrap, kerf, within, margin, ...product }): PortionRequest => {
    const length = 4 * (girths.length - 1)
    return {
      piece: { weight, length, profile: girths.map((girth, index) => ({ at: index * 4, girth })) },
      products: [
        { name: 'a', ...product, within },
        { name: 'b', target: 30, low: 22, high: 60, value: 4 },
      ],
      scrap: { valuePerKg: scrapPerKg, where: 'ends' },
      ...{ minScrap, kerf, margin },
    }
  })

test('scrap at the ends and bounds drawn in agree with trying everything on small pieces', () => {
  fc.assert(
    fc.property(small, (asked) => {
      const best = bestByTrying(asked)
      const plan = planPortions(asked)
      // Where nothing fits and the ends leave no room, the piece is scrap from end to end.
      if (best === null) expect(plan.pieces).toEqual([])
      else {
        expect(plan.value).toBeCloseTo(best.value, 8)
        expect(plan.pieces).toHaveLength(best.pieces)
      }
    }),
    { numRuns: 400 },
  )
})

test('no slice out of the middle: dear scrap is cut at an end alone', () => {
  const dear = request({ scrap: { valuePerKg: 60 } })
  const inMiddle = (plan: ReturnType<typeof planPortions>) =>
    plan.scrap.parts.filter(([from, to]) => from > 0 && to < LOIN.length)
  const free = planPortions({ ...dear, products: dear.products.map((product) => ({ ...product, min: 3 })) })
  const ends = planPortions({
    ...dear,
    products: dear.products.map((product) => ({ ...product, min: 3 })),
    scrap: { valuePerKg: 60, where: 'ends' },
  })
  expect(inMiddle(ends)).toEqual([])
  expect(ends.value).toBeLessThanOrEqual(free.value + 1e-9)
  // A product's own place makes scrap at its edge.
  const placed = planPortions(
    request({
      products: [
        { name: 'loin', target: 220, low: 205, high: 240, value: 9, within: [0, 200] },
        { name: 'tail', target: 120, low: 100, high: 140, value: 3, within: [230, 420] },
      ],
      scrap: { valuePerKg: 1, where: 'ends' },
    }),
  )
  expect(inMiddle(placed).length).toBeGreaterThan(0)
})

test.each([
  [{ target: 220, low: 205, high: 240 }, 0, [205, 240]],
  [{ target: 220, low: 205, high: 240 }, 0.05, [216, 229]],
  [{ target: 220, low: 205, high: 240 }, 0.2, [220, 220]],
  [{ target: 200, low: 205, high: 240 }, 0.1, [205, 220]],
])('%p drawn in by %d is %p', (product, margin, bounds) => {
  const { low, high } = drawnIn(product, margin)
  expect([low, high]).toEqual([expect.closeTo(bounds[0] as number, 9), expect.closeTo(bounds[1] as number, 9)])
})

test('with a margin no portion is planned at its bound, and more are expected within', () => {
  const off = 0.05
  const margin = marginFor(request().products, off)
  expect(margin).toBeCloseTo(7.5 / 220, 9)
  const within = (plan: ReturnType<typeof planPortions>) =>
    evaluate((explainWithin(judgeCuts(request(), plan.cuts).parts, request().products, off) as Explanation).expression)
  const [bare, drawn] = [planPortions(request()), planPortions(request({ margin, isNearest: true }))]
  for (const { weight } of drawn.pieces) {
    expect(weight).toBeGreaterThanOrEqual(205 + margin * 220 - 1e-9)
    expect(weight).toBeLessThanOrEqual(240 - margin * 220 + 1e-9)
  }
  expect(within(drawn) / drawn.pieces.length).toBeGreaterThan(within(bare) / bare.pieces.length)
})

test('among plans of equal worth the nearest to the targets is taken, and no money is lost for it', () => {
  const asked = request({
    products: [{ name: 'steak', target: 150, low: 150, high: 240, value: 9 }],
    scrap: { valuePerKg: 0 },
  })
  const [any, nearest] = [planPortions(asked), planPortions({ ...asked, isNearest: true })]
  const over = ({ pieces }: typeof any) => pieces.reduce((sum, { weight }) => sum + Math.abs(weight - 150), 0)
  expect(nearest.value).toBeGreaterThanOrEqual(any.value - 1e-3)
  expect(over(nearest)).toBeLessThanOrEqual(over(any) + 1e-9)
})

test('how likely a portion ends within its bounds', () => {
  const product = { low: 200, high: 240 }
  expect(shareWithin({ weight: 220 }, product, 0)).toBe(1)
  expect(shareWithin({ weight: 250 }, product, 0)).toBe(0)
  // One standard deviation either way.
  expect(shareWithin({ weight: 220 }, product, 20 / 220)).toBeCloseTo(0.6827, 3)
  expect(shareWithin({ weight: 200 }, product, 0.05)).toBeCloseTo(0.5, 3)
})
