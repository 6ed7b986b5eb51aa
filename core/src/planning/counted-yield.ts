import { oneSidedT } from '../statistics/index.ts'
import type { PlanYield } from './order-plan.ts'

/** A service level at which yields count as their mean. */
export const MEAN_SERVICE = 0.5
const MIN_TESTS = 2

/** How far one more record is from the mean of those there are, in spreads of t: `sd × √(1 + 1/n)`. Null without a spread. */
export function spreadOfNext({ sd, tests, df }: PlanYield): { scale: number; df: number } | null {
  return sd > 0 && tests >= MIN_TESTS ? { scale: sd * Math.sqrt(1 + 1 / tests), df: df ?? tests - 1 } : null
}

/**
 * What a unit of a cut counts as: what one more record is expected to give at least in a share `service` of cases,
 * `max(0, quantity − t(s, df) × sd × √(1 + 1/n))`, one-sided Student-t; the mean at 0.5 or without a spread.
 */
export function countedYield(given: PlanYield, service: number): number {
  const spread = service > MEAN_SERVICE ? spreadOfNext(given) : null
  return spread ? Math.max(0, given.quantity - oneSidedT(service, spread.df) * spread.scale) : given.quantity
}
