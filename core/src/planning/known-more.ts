import type { OrderPlan } from './order-plan.ts'

/** How far a cost may be above a bound, as a share of it. */
const gapOf = (total: number, bound: number): number => (total === 0 ? 0 : (total - bound) / Math.abs(total))

/** The same plan, of which more is known now, as a further search found nothing cheaper. */
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
