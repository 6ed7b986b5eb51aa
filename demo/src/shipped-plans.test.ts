import { type OrderPlan, type PlanGoods, planOrders, planRequest } from '@fleam/core/planning'
import { solveWith } from '@fleam/core/solving'
import loadHighs from 'highs'
import { draftOf, PLANS } from './plans.ts'
import { fromPortable, type Names } from './portable.ts'
import { shippedPlans } from './shipped-plans.ts'

const MONDAY = '2026-11-30'
/** A solver that has not proven it by then has to be as near as this. */
const SECONDS = 20
const NEAR = 0.005

/** Every name is its own id: a plan is worked out without a kitchen. */
function ownNames(shipped: unknown): Names {
  const names = JSON.stringify(shipped).match(/\{[a-z]+ [^{}"]+\}/g) ?? []
  return new Map(names.map((name) => [name, name.slice(1, -1)]))
}

const accepted = PLANS.filter(({ isAccepted }) => isAccepted)

test('each accepted plan of the demo ships with its answer and its schedule', () => {
  expect(
    shippedPlans()
      .map(({ name }) => name)
      .sort(),
  ).toEqual(accepted.map(({ name }) => name).sort())
})

test.each(accepted)('what ships for $name is what the solver finds, and is short of nothing', async (script) => {
  const shipped = shippedPlans().find(({ name }) => name === script.name)
  const { goods, answer } = fromPortable<{ goods: PlanGoods; answer: OrderPlan }>(shipped, ownNames(shipped), MONDAY)
  const draft = draftOf(script, goods.products, MONDAY)
  const { request } = planRequest({ ...draft, lotsLeft: goods.stock.map(({ lotId }) => lotId) }, goods, 'EUR')
  const found = planOrders(
    request,
    solveWith(await loadHighs(), () => performance.now()),
    { seconds: SECONDS },
  )
  expect([answer.status, answer.short]).toEqual(['optimal', []])
  const apart = Math.abs(found.cost.total - answer.cost.total) / answer.cost.total
  expect(apart).toBeLessThan(found.status === 'optimal' ? 1e-6 : NEAR)
})
