import { LOIN } from '../../test/loin.ts'
import { evaluate } from '../explanation/index.ts'
import { explainGivenAwayOf, explainMeanOf, explainScrapRequest, planPortions } from './index.ts'
import type { PortionRequest } from './plan-request.ts'

const steak = { name: 'steak', target: 200, low: 180, high: 225, value: 11 }
const request: PortionRequest = {
  piece: LOIN,
  products: [steak],
  scrap: { valuePerKg: 8 },
}

test('the mean of a product and what it gives away open to what the plan says', () => {
  const plan = planPortions({ ...request, products: [{ ...steak, low: 205 }] })
  const [spread] = plan.spreads
  expect(spread?.givenAway).toBeGreaterThan(0)
  expect(evaluate(explainMeanOf(plan, 'steak')?.expression as never)).toBeCloseTo(spread?.mean as number, 9)
  expect(evaluate(explainGivenAwayOf(plan, steak)?.expression as never)).toBeCloseTo(spread?.givenAway as number, 9)
})

test('one cut by thickness is paid for at its own mean', () => {
  const thick = { ...steak, low: 50, high: 400, targetThickness: 40 }
  const plan = planPortions({ ...request, products: [thick] })
  const given = explainGivenAwayOf(plan, thick)
  expect(evaluate(given?.expression as never)).toBeCloseTo(plan.spreads[0]?.givenAway as number, 9)
})

test('a request for scrap opens to the worth with and without it; what is not cut opens to nothing', () => {
  const plan = planPortions({ ...request, scrap: { valuePerKg: 8, atLeast: 450 } })
  expect(evaluate(explainScrapRequest(plan)?.expression as never)).toBeCloseTo(plan.scrapRequest?.costs as number, 9)
  expect(plan.scrapRequest?.costs).toBeGreaterThan(0)
  expect(explainScrapRequest(planPortions(request))).toBeNull()
  expect(explainMeanOf(plan, 'roast')).toBeNull()
  expect(explainGivenAwayOf(plan, { ...steak, name: 'roast' })).toBeNull()
})
