import { median } from '../../statistics/index.ts'

/** Of the latest records so many: a cook becomes quicker. */
const LATEST = 6
/** Fewer than these say nothing of a cook. */
const FEWEST = 3

/** Minutes of a unit by one cook, from the latest records first; null where there are too few. */
export function cookMinutes(latestFirst: readonly number[]): { minutesPerUnit: number; records: number } | null {
  const used = latestFirst.slice(0, LATEST)
  return used.length < FEWEST ? null : { minutesPerUnit: median(used), records: used.length }
}
