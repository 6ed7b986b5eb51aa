import { judgeCuts, planPortions, planVariants } from './index.ts'
import type { PortionRequest } from './plan-request.ts'

const steak = { name: 'steak', target: 220, low: 200, high: 240, minFace: 50, value: 12 }
const roast = { name: 'roast', target: 600, low: 500, high: 700, value: 25, max: 1 }
const small = { name: 'small', target: 100, low: 90, high: 110, value: 4 }
const request: PortionRequest = {
  piece: {
    weight: 2000,
    length: 400,
    profile: [
      { at: 0, girth: 260 },
      { at: 400, girth: 200 },
    ],
  },
  products: [small, roast, steak],
  scrap: { valuePerKg: 8 },
}
const countsOf = (asked: PortionRequest) => {
  const counts: Record<string, number> = {}
  for (const { product } of planPortions(asked).pieces) counts[product] = (counts[product] ?? 0) + 1
  return counts
}
const named = (name: string) =>
  planVariants(request).find((variant) => variant.name === name)?.request as PortionRequest

test('a cook compares most money, the dearest alone, it beside a roast, and most portions', () => {
  expect(planVariants(request).map(({ name }) => name)).toEqual([
    'most money, numbers kept',
    'only steak',
    'roast and steak',
    'most portions',
  ])
  expect(Object.keys(countsOf(named('only steak')))).toEqual(['steak'])
  expect(countsOf(named('roast and steak'))).toMatchObject({ roast: 1, steak: expect.any(Number) })
})

test('no other plan brings more money, and none more portions', () => {
  const plans = planVariants(request).map((variant) => judgeCuts(variant.judgedBy, planPortions(variant.request).cuts))
  const [money, , , many] = plans
  expect(Math.max(...plans.map(({ value }) => value))).toBe(money?.value)
  expect(Math.max(...plans.map(({ portions }) => portions))).toBe(many?.portions)
  expect(many?.portions).toBeGreaterThan(money?.portions ?? 0)
})

test('one product alone is also cut thick: none is under its target', () => {
  const variants = planVariants({ ...request, products: [steak] })
  expect(variants.map(({ name }) => name)).toEqual(['most money', 'no steak under its target', 'most portions'])
  const { pieces } = planPortions(variants[1]?.request as PortionRequest)
  expect(Math.min(...pieces.map(({ weight }) => weight))).toBeGreaterThanOrEqual(220)
})

test('a product that may weigh anything keeps its target when portions are counted', () => {
  const [, , , many] = planVariants({ ...request, products: [steak, { ...small, low: 0 }] })
  expect(many?.request.products[1]?.target).toBe(100)
})
