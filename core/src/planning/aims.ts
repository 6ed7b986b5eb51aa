import type { PlanModel } from './model/index.ts'
import type { OrderPlanRequest } from './order-plan.ts'

/** What a plan is made for: the least money, the fewest minutes at the board, the least thrown away, nothing cut here. */
export const PLAN_AIMS = ['cost', 'labour', 'waste', 'ready'] as const
export type PlanAim = (typeof PLAN_AIMS)[number]

/** Money that a minute at the board counts as beside what it costs, where minutes are what is saved. */
const A_MINUTE = 50
/** Money that one of the measure of the cold (a kilo, mostly) counts as, where it is thrown away. */
const A_KILO = 500

/** The request as an aim has it: to buy all of it ready is to cut nothing. */
export const requestFor = (aim: PlanAim, request: OrderPlanRequest): OrderPlanRequest =>
  aim === 'ready' ? { ...request, cuts: [], wholes: [], stock: request.stock.map(withoutWhole) } : request

/** The place of a stock is kept, and nothing of it is there. */
const withoutWhole = (stock: OrderPlanRequest['stock'][number]) =>
  stock.whole === null ? stock : { ...stock, whole: null, quantity: 0 }

/** What is minimised for an aim, by column: money, and what the aim counts far above it. */
export function costsFor(aim: PlanAim, model: PlanModel, request: OrderPlanRequest): number[] {
  const costs = [...model.moneyCosts]
  const add = (column: number | null, amount: number) => {
    if (column !== null) costs[column] = (costs[column] as number) + amount
  }
  if (aim === 'labour') {
    for (const { cut, units, setUp } of model.cuts) {
      add(units, cut.minutes * A_MINUTE)
      add(setUp, cut.setUp * A_MINUTE)
    }
  }
  if (aim === 'waste') {
    const kilos = new Map(request.products.map(({ name, cold }) => [name, cold || 1]))
    for (const { product, all, valued } of model.left) {
      add(all, (kilos.get(product) ?? 1) * A_KILO)
      add(valued, -(kilos.get(product) ?? 1) * A_KILO)
    }
    for (const { whole, packs, flows, isGoodAfter } of model.wholes) {
      // What is good after the last day is not thrown away.
      if (isGoodAfter) continue
      add(packs, whole.pack * (whole.cold || 1) * A_KILO)
      for (const column of flows.values()) add(column, -(whole.cold || 1) * A_KILO)
    }
  }
  return costs
}
