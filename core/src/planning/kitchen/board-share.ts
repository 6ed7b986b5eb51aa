import { median } from '../../statistics/index.ts'
import type { PlanGoods } from './goods.ts'

/** Of the latest schedules so many: a kitchen's work changes. */
const LATEST = 6
/** Fewer than these say nothing. */
const FEWEST = 3

/**
 * What of the hours that cooks are at work is cutting, as a plan counts it, by the latest schedules first: set-up,
 * packing and cleaning take the rest. 1 where there are too few schedules.
 */
export function boardShare(
  latestFirst: readonly { cuttingMinutes: number; cookMinutes: number }[],
): PlanGoods['boardShare'] {
  const shares = latestFirst
    .filter(({ cuttingMinutes, cookMinutes }) => cuttingMinutes > 0 && cookMinutes > 0)
    .slice(0, LATEST)
    .map(({ cuttingMinutes, cookMinutes }) => Math.min(1, cuttingMinutes / cookMinutes))
  return shares.length < FEWEST ? { value: 1, schedules: 0 } : { value: median(shares), schedules: shares.length }
}
