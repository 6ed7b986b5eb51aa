import { type Explanation, minus, plus, type Quantity, times, value } from '../../explanation/index.ts'
import type { OrderPlan, PlanCost } from '../order-plan.ts'
import type { AskedPlan } from './plan-request.ts'

/** Parts of what a plan costs, as they stand on a screen. */
export const PLAN_COST_PARTS = [
  'wholes',
  'ready',
  'delivery',
  'labour',
  'consumables',
  'disposal',
  'surplus',
  'total',
] as const satisfies readonly (keyof PlanCost)[]
export type PlanCostPart = (typeof PLAN_COST_PARTS)[number]

const TITLES: Readonly<Record<PlanCostPart, string>> = {
  wholes: 'Bought to be cut',
  ready: 'Bought ready',
  delivery: 'Delivery',
  labour: 'Labour',
  consumables: 'Bags and the like',
  disposal: 'Thrown away',
  surplus: 'What is over is worth',
  total: 'Everything',
}

/** The formula of one part of what a plan costs, with its numbers; null where nothing goes into it. */
export function explainPlanCost(plan: OrderPlan, { request }: AskedPlan, part: PlanCostPart): Explanation | null {
  const { cost } = plan
  const title = TITLES[part]
  const sum = (terms: readonly ReturnType<typeof value>[], note?: string): Explanation | null =>
    terms.length === 0 ? null : { title, quantity: 'money', expression: plus(...terms), ...(note ? { note } : {}) }
  const priced = (name: string, count: number, each: number, quantity: Quantity = 'money') =>
    times(value(name, count, 'count'), value('each', each, quantity))
  switch (part) {
    case 'total': {
      const paid = (['wholes', 'ready', 'delivery', 'labour', 'consumables', 'disposal'] as const).flatMap((each) =>
        cost[each] === 0 ? [] : [value(TITLES[each].toLowerCase(), cost[each], 'money')],
      )
      if (paid.length === 0) return null
      const less = value('what is over is worth', cost.surplus, 'money')
      return { title, quantity: 'money', expression: cost.surplus === 0 ? plus(...paid) : minus(plus(...paid), less) }
    }
    case 'wholes':
    case 'ready': {
      const goods = new Map(request[part].map(({ name, price }) => [name, price]))
      const packs = plan.orders.flatMap(({ lines }) => lines.filter(({ name }) => goods.has(name)))
      return sum(
        packs.map(({ name, packs: count }) => priced(name, count, goods.get(name) ?? 0)),
        part === 'ready' ? 'Each pack with the minutes of unpacking and trimming it.' : undefined,
      )
    }
    case 'delivery':
      return sum(plan.orders.flatMap(({ supplier, charge }) => (charge > 0 ? [value(supplier, charge, 'money')] : [])))
    case 'labour': {
      if (plan.cutting.length === 0) return null
      const minutes = plus(...plan.cutting.map(({ cut, minutes: each }) => value(cut, each, 'minutes')))
      const perMinute = value('a minute', request.labour.ratePerHour / 60, 'money')
      return { title, quantity: 'money', expression: times(minutes, perMinute) }
    }
    case 'consumables': {
      const each = new Map(request.cuts.map(({ name, consumables }) => [name, consumables]))
      return sum(
        plan.cutting.flatMap(({ cut, units }) =>
          (each.get(cut) ?? 0) > 0 ? [priced(cut, units, each.get(cut) ?? 0)] : [],
        ),
      )
    }
    case 'disposal':
    case 'surplus': {
      const products = new Map(request.products.map((product) => [product.name, product]))
      return sum(
        plan.left.flatMap(({ product, valued, disposed }) => {
          const of = products.get(product)
          const [count, worth] = part === 'surplus' ? [valued, of?.surplusValue ?? 0] : [disposed, of?.disposal ?? 0]
          return count * worth > 0 ? [priced(product, count, worth)] : []
        }),
      )
    }
  }
}
