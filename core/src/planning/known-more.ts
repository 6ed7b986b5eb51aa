import type { OrderPlan, PlanDemand } from './order-plan.ts'

/** How far a plan may be from the best where nobody knows. */
const UNKNOWN_GAP = 1
/** Shortages and money that differ by less are the same. */
const SAME = 1e-6
/** Money that is worth telling of. */
const CHEAPER = 0.005

/** How far a cost may be above a bound, as a share of it. */
const gapOf = (total: number, bound: number): number => (total === 0 ? 0 : (total - bound) / Math.abs(total))

/** Bound and gap of a plan of which nobody knows what the best would cost: its shortage is not proven to be the least. */
export const unknownGap = (total: number): Pick<OrderPlan, 'bound' | 'gap'> => ({
  bound: total - UNKNOWN_GAP * Math.abs(total),
  gap: UNKNOWN_GAP,
})

/** Whether it is known how far a plan is above the cheapest, as money. */
export const isGapKnown = ({ gap }: Pick<OrderPlan, 'gap'>): boolean => gap < UNKNOWN_GAP

/** Σ short ÷ asked of a plan: what comes before money. */
export function shortageOf({ short }: Pick<OrderPlan, 'short'>, demand: readonly PlanDemand[]): number {
  const asked = new Map<string, number>()
  for (const { product, day, quantity } of demand) {
    const of = `${day} ${product}`
    asked.set(of, (asked.get(of) ?? 0) + quantity)
  }
  return short.reduce((sum, { product, day, quantity }) => {
    const of = asked.get(`${day} ${product}`) ?? 0
    return of > 0 ? sum + quantity / of : sum
  }, 0)
}

type Further = Pick<OrderPlan, 'status' | 'bound' | 'cost' | 'short'>

/** What a further search found beside a plan: less short comes before less money. */
export function furtherFound(
  plan: Further,
  further: Further,
  demand: readonly PlanDemand[],
): 'less-short' | 'cheaper' | 'as-good' | 'worse' {
  const less = shortageOf(plan, demand) - shortageOf(further, demand)
  if (less > SAME) return 'less-short'
  if (less < -SAME) return 'worse'
  return further.cost.total < plan.cost.total - CHEAPER ? 'cheaper' : 'as-good'
}

/** The same plan, of which more is known now, as a further search found nothing cheaper that is no more short. */
export function planKnownBetter(plan: OrderPlan, further: Pick<OrderPlan, 'status' | 'bound'>): OrderPlan {
  const { total } = plan.cost
  if (further.status === 'optimal') return { ...plan, status: 'optimal', bound: total, gap: 0 }
  const bound = Math.max(plan.bound, Math.min(further.bound, total))
  return { ...plan, bound, gap: gapOf(total, bound) }
}

/**
 * A plan that costs less than the one that was searched for, in its place: what was found out beside the one holds beside
 * the other; what loosened limits would save does not.
 */
export function planInPlaceOf(searched: OrderPlan, cheaper: OrderPlan): OrderPlan {
  const bound = Math.min(searched.bound, cheaper.cost.total)
  const { status, beside } = searched
  return { ...cheaper, status, bound, gap: gapOf(cheaper.cost.total, bound), beside, limits: [] }
}
