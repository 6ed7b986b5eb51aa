import { PLAN_AIMS, type PlanAim } from '../aims.ts'
import type { OrderPlan } from '../order-plan.ts'
import type { PlanTotals } from './plan-figures.ts'

/** Plans of one demand by what each was made for; null where nothing keeps the rules, absent while it is made. */
export type PlansByAim = Partial<Record<PlanAim, OrderPlan | null>>

/** What differs by less is the same: portions, minutes, kilos and money. */
const SAME = 1e-6

/**
 * The plan to show for each aim: of all that were made the one that meets it best. Searches end before they are proven, so
 * that a plan for another aim may throw away less than the one that was to; it is shown in its place. What is short counts
 * first, then what the aim is, then money. All bought ready stays what it is.
 */
export function trueAims(plans: PlansByAim, totalsOf: (plan: OrderPlan) => PlanTotals): PlansByAim {
  const found = PLAN_AIMS.flatMap((aim) => {
    const plan = plans[aim]
    return plan && plan.status !== 'refused' ? [{ plan, totals: totalsOf(plan) }] : []
  })
  const measures: Readonly<Partial<Record<PlanAim, (of: (typeof found)[number]) => number>>> = {
    cost: ({ plan }) => plan.cost.total,
    labour: ({ totals }) => totals.minutes,
    waste: ({ totals }) => totals.thrownKilos,
  }
  return Object.fromEntries(
    Object.entries(plans).map(([aim, planOfAim]) => {
      const measure = measures[aim as PlanAim]
      const first = found.find(({ plan }) => plan === planOfAim)
      if (!measure || !first) return [aim, planOfAim]
      const ranked = (of: (typeof found)[number]) => [of.totals.short, measure(of), of.plan.cost.total]
      const best = found.reduce((least, entry) => (isBelow(ranked(entry), ranked(least)) ? entry : least), first)
      return [aim, best.plan]
    }),
  )
}

/** Whether the first number that differs is the smaller. */
function isBelow(one: readonly number[], other: readonly number[]): boolean {
  const at = one.findIndex((value, place) => Math.abs(value - (other[place] as number)) > SAME)
  return at >= 0 && (one[at] as number) < (other[at] as number)
}
