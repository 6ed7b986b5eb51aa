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

const MINUTES_PER_HOUR = 60

/** Minutes of unpacking what a plan buys ready, by article; none where a pack takes none. */
export const unpackingOf = (plan: Pick<OrderPlan, 'orders'>, { unpacking }: Pick<AskedPlan, 'unpacking'>) => {
  const minutesOf = new Map(unpacking.map(({ name, minutes }) => [name, minutes]))
  return plan.orders.flatMap(({ lines }) =>
    lines.flatMap(({ name, packs }) => {
      const minutes = packs * (minutesOf.get(name) ?? 0)
      return minutes > 0 ? [{ name, minutes }] : []
    }),
  )
}

/** What a plan costs by its parts: unpacking what is bought ready is labour. Parts add up to the total. */
export function planCostParts(plan: Pick<OrderPlan, 'cost' | 'orders'>, asked: AskedPlan): OrderPlan['cost'] {
  const perMinute = asked.request.labour.ratePerHour / MINUTES_PER_HOUR
  const unpacking = unpackingOf(plan, asked).reduce((sum, { minutes }) => sum + minutes, 0) * perMinute
  return { ...plan.cost, ready: plan.cost.ready - unpacking, labour: plan.cost.labour + unpacking }
}

/** The formula of one part of what a plan costs, with its numbers; null where nothing goes into it. */
export function explainPlanCost(plan: OrderPlan, asked: AskedPlan, part: PlanCostPart): Explanation | null {
  const { request } = asked
  const cost = planCostParts(plan, asked)
  const perMinute = request.labour.ratePerHour / MINUTES_PER_HOUR
  const title = TITLES[part]
  const sum = (terms: readonly ReturnType<typeof value>[], note?: string): Explanation | null =>
    terms.length === 0 ? null : { title, quantity: 'money', expression: plus(...terms), ...(note ? { note } : {}) }
  const priced = (name: string, count: number, perOne: number, quantity: Quantity = 'money') =>
    times(value(name, count, 'count'), value('each', perOne, quantity))
  switch (part) {
    case 'total': {
      const paid = (['wholes', 'ready', 'delivery', 'labour', 'consumables', 'disposal'] as const).flatMap((key) =>
        cost[key] === 0 ? [] : [value(TITLES[key].toLowerCase(), cost[key], 'money')],
      )
      if (paid.length === 0) return null
      const less = value('what is over is worth', cost.surplus, 'money')
      return { title, quantity: 'money', expression: cost.surplus === 0 ? plus(...paid) : minus(plus(...paid), less) }
    }
    case 'wholes':
    case 'ready': {
      const minutesOf = new Map(asked.unpacking.map(({ name, minutes }) => [name, minutes]))
      const bare = ({ name, price }: { name: string; price: number }) => price - (minutesOf.get(name) ?? 0) * perMinute
      const goods = new Map(request[part].map((good) => [good.name, part === 'ready' ? bare(good) : good.price]))
      const packs = plan.orders.flatMap(({ lines }) => lines.filter(({ name }) => goods.has(name)))
      return sum(packs.map(({ name, packs: count }) => priced(name, count, goods.get(name) ?? 0)))
    }
    case 'delivery':
      return sum(plan.orders.flatMap(({ supplier, charge }) => (charge > 0 ? [value(supplier, charge, 'money')] : [])))
    case 'labour': {
      const terms = [
        ...plan.cutting.map(({ cut, minutes: each }) => value(cut, each, 'minutes')),
        ...unpackingOf(plan, asked).map(({ name, minutes }) => value(`unpacking ${name}`, minutes, 'minutes')),
      ]
      if (terms.length === 0) return null
      return { title, quantity: 'money', expression: times(plus(...terms), value('a minute', perMinute, 'money')) }
    }
    case 'consumables': {
      const consumablesOf = new Map(request.cuts.map(({ name, consumables }) => [name, consumables]))
      return sum(
        plan.cutting.flatMap(({ cut, units }) =>
          (consumablesOf.get(cut) ?? 0) > 0 ? [priced(cut, units, consumablesOf.get(cut) ?? 0)] : [],
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
