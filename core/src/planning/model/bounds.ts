import { countedYield } from '../counted-yield.ts'
import type { OrderPlanRequest, PlanCut, PlanReady, PlanWhole } from '../order-plan.ts'

/** Tight bounds on what is worth ordering and cutting: a solver that need not look further is sooner done. */
export type PlanBounds = ReturnType<typeof boundsOf>

/** No more than the demand could ever use, with what may be left at a worth, and what reaches a minimum. */
export function boundsOf(request: OrderPlanRequest, demands: readonly { product: string; asked: number }[]) {
  const wantedOf = new Map(
    request.products.map(({ name, surplusUpTo }) => [
      name,
      surplusUpTo + demands.reduce((sum, demand) => sum + (demand.product === name ? demand.asked : 0), 0),
    ]),
  )
  const unitsOf = (cut: PlanCut): number =>
    cut.yields.reduce((most, given) => {
      const counted = countedYield(given, request.service)
      return counted > 0 ? Math.max(most, Math.ceil((wantedOf.get(given.product) ?? 0) / counted)) : most
    }, 0)
  const toMinimum = (minimum: number, price: number) => (price > 0 ? Math.ceil(minimum / price) : 0)
  return {
    unitsOf,
    packsOf: ({ name, pack, price }: PlanWhole, minimum: number) => {
      const units = request.cuts.reduce((sum, cut) => sum + (cut.whole === name ? unitsOf(cut) : 0), 0)
      return Math.max(Math.ceil(units / pack), toMinimum(minimum, price))
    },
    readyPacksOf: ({ product, quantity, price }: PlanReady, minimum: number) =>
      Math.max(quantity > 0 ? Math.ceil((wantedOf.get(product) ?? 0) / quantity) : 0, toMinimum(minimum, price)),
  }
}
