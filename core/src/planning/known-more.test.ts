import { furtherFound, isGapKnown, planInPlaceOf, planKnownBetter } from './index.ts'
import { unknownGap } from './known-more.ts'
import type { OrderPlan } from './order-plan.ts'

const plan = (total: number, bound: number, changes: Partial<OrderPlan> = {}): OrderPlan => ({
  ...{ status: 'within-gap', bound, gap: (total - bound) / total },
  cost: { wholes: total, ready: 0, delivery: 0, labour: 0, consumables: 0, disposal: 0, surplus: 0, total },
  ...{ orders: [], cutting: [], use: [], left: [], uncut: [], short: [], limits: [] },
  beside: { allReady: null, allCut: null },
  service: { asked: 0.5, met: 1, all: 1, draws: 10_000, premium: 0 },
  ...changes,
})

test('a further search that found nothing cheaper raises what is known of the plan, and never lowers it', () => {
  const found = plan(100, 90)
  expect(planKnownBetter(found, plan(105, 95))).toMatchObject({ status: 'within-gap', bound: 95, gap: 0.05 })
  expect(planKnownBetter(found, plan(105, 80))).toMatchObject({ bound: 90, gap: 0.1 })
  // No bound lies above a plan that is there.
  expect(planKnownBetter(found, plan(120, 110))).toMatchObject({ bound: 100, gap: 0 })
  expect(planKnownBetter(found, plan(100, 100, { status: 'optimal' }))).toMatchObject({ status: 'optimal', gap: 0 })
})

test('a cheaper plan in the place of another is as sure as the search was, and keeps what was found beside it', () => {
  const searched = plan(100, 90, { beside: { allReady: 150, allCut: null } })
  const limit: OrderPlan['limits'][number] = {
    limit: 'labour',
    name: null,
    day: null,
    oneMore: '60 minutes',
    saves: 3,
    shorter: 0,
  }
  const cheaper = plan(95, 40, { limits: [limit] })
  expect(planInPlaceOf(searched, cheaper)).toMatchObject({
    ...{ bound: 90, gap: 5 / 95, beside: { allReady: 150, allCut: null }, limits: [] },
    cost: { total: 95 },
  })
  expect(planInPlaceOf(plan(100, 99), plan(95, 40)).gap).toBe(0)
})

const DEMAND = [
  { product: 'supreme', day: '2026-12-03', quantity: 20 },
  { product: 'leg', day: '2026-12-03', quantity: 2 },
]
const short = (product: string, quantity: number): OrderPlan['short'] => [
  { product, day: '2026-12-03', quantity, because: [] },
]

test('less short comes before less money, by the share of what is asked', () => {
  const found = plan(100, 90, { short: short('leg', 1) })
  const found10 = plan(150, 90, { short: short('supreme', 9) })
  expect(furtherFound(found, found10, DEMAND)).toBe('less-short')
  expect(furtherFound(found, plan(100, 90, { short: short('supreme', 11) }), DEMAND)).toBe('worse')
  expect(furtherFound(found, plan(20, 20, { short: short('supreme', 11) }), DEMAND)).toBe('worse')
  expect(furtherFound(found, plan(99, 90, { short: short('supreme', 10) }), DEMAND)).toBe('cheaper')
  expect(furtherFound(found, plan(101, 90, { short: short('leg', 1) }), DEMAND)).toBe('as-good')
})

test('a gap that nobody knows stays so whatever the plan costs', () => {
  for (const total of [40, 0, -12]) {
    expect(isGapKnown(unknownGap(total))).toBe(false)
    expect(unknownGap(total).bound).toBeLessThanOrEqual(total)
  }
  expect(isGapKnown(plan(100, 90))).toBe(true)
})
