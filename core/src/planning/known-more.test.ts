import { planInPlaceOf, planKnownBetter } from './index.ts'
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
