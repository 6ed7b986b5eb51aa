import fc from 'fast-check'
import type { OrderPlan } from '../order-plan.ts'
import type { PlanTotals } from './plan-figures.ts'
import { trueAims } from './true-aims.ts'

const totals = new Map<OrderPlan, PlanTotals>()
const plan = (money: number, own: Partial<PlanTotals> = {}): OrderPlan => {
  const made = { status: 'within-gap', cost: { total: money } } as OrderPlan
  totals.set(made, { minutes: 0, thrownKilos: 0, short: 0, ...own })
  return made
}
const totalsOf = (of: OrderPlan) => totals.get(of) as PlanTotals

test('least waste wastes no more than any other row, least labour takes no more minutes, the cheapest costs least', () => {
  const whole = fc.integer({ min: 0, max: 6 })
  const row = fc.record({ money: whole, minutes: whole, thrownKilos: whole, short: fc.integer({ min: 0, max: 1 }) })
  fc.assert(
    fc.property(fc.tuple(row, row, row, row), (rows) => {
      const [cost, labour, waste, ready] = rows.map(({ money, ...own }) => plan(money, own))
      const aims = trueAims({ cost, labour, waste, ready } as Record<string, OrderPlan>, totalsOf)
      const least = Math.min(...rows.map(({ short }) => short))
      const comparable = rows.filter(({ short }) => short === least)
      const totalOf = (aim: 'labour' | 'waste') => totalsOf(aims[aim] as OrderPlan)
      expect(totalOf('labour').minutes).toBe(Math.min(...comparable.map(({ minutes }) => minutes)))
      expect(totalOf('waste').thrownKilos).toBe(Math.min(...comparable.map(({ thrownKilos }) => thrownKilos)))
      expect(aims.cost?.cost.total).toBe(Math.min(...comparable.map(({ money }) => money)))
      expect(aims.ready).toBe(ready)
    }),
  )
})

test('a row that is not beaten stays its own, and one that cannot be done stays so', () => {
  const [cost, labour] = [plan(10, { minutes: 5 }), plan(12, { minutes: 5 })]
  expect(trueAims({ cost, labour, waste: null }, totalsOf)).toEqual({ cost, labour: cost, waste: null })
  const quicker = plan(12, { minutes: 4 })
  expect(trueAims({ cost, labour: quicker }, totalsOf)).toEqual({ cost, labour: quicker })
})
