import { evaluate } from '../explanation/index.ts'
import { explainJudged, judgeCuts, planPortions } from './index.ts'
import type { PortionRequest } from './plan-request.ts'

const request: PortionRequest = {
  piece: {
    weight: 1000,
    length: 200,
    profile: [
      { at: 0, area: 4000 },
      { at: 200, area: 4000 },
    ],
  },
  products: [
    { name: 'steak', target: 200, low: 180, high: 220, minFace: 50, value: 10 },
    { name: 'small', target: 100, low: 90, high: 110, value: 4, max: 1 },
  ],
  scrap: { valuePerKg: 8 },
}

test('lines are judged part by part: product, worth, and why something is scrap', () => {
  const { parts, value, portions, scrapWeight, givenAway } = judgeCuts(request, [40, 82, 110])
  expect(parts.map((part) => part.product)).toEqual(['steak', 'steak', null, null])
  expect(parts[2]).toMatchObject({ nearest: 'steak', reasons: ['too-light'] })
  expect(portions).toBe(2)
  expect(scrapWeight).toBeCloseTo(590, 9)
  expect(value).toBeCloseTo(10 + 10 + 0.59 * 8, 9)
  expect(givenAway).toBeCloseTo((10 * 10) / 200, 9)
})

test('the lines of a plan are worth what the plan says', () => {
  const plan = planPortions(request)
  expect(judgeCuts(request, plan.cuts).value).toBeCloseTo(plan.value, 9)
})

test('lines outside the piece, and the same line twice, change nothing', () => {
  expect(judgeCuts(request, [-5, 40, 40, 900])).toEqual(judgeCuts(request, [40]))
})

test('a saw takes its kerf after a product', () => {
  const { parts } = judgeCuts({ ...request, kerf: 2 }, [40, 82])
  expect(parts[1]?.from).toBe(42)
})

test('worth, scrap and what is given away open to themselves', () => {
  const judged = judgeCuts(request, [40, 82, 110])
  for (const figure of ['value', 'scrapWeight', 'givenAway'] as const) {
    expect(evaluate(explainJudged(judged, request.scrap.valuePerKg, figure).expression)).toBeCloseTo(judged[figure], 9)
  }
})
