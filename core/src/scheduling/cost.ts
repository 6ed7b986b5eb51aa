import type { Placing } from './place.ts'
import type { Shop } from './shop.ts'

/** What a placing costs, first things first. */
export interface ScheduleCost {
  /** Tasks without a place, and minutes by which something comes too late after what it must follow at once. */
  broken: number
  late: number
  clean: number
  hold: number
}

/** A task without a place breaks as much as a day that nobody has. */
const NO_PLACE = 10_000

/** Minutes by which something is done before it is best done, or after that and still in time. */
export const heldUntilDue = (end: number, { due, slack }: { due: number; slack: number }): number =>
  Math.abs(due - slack - Math.min(end, due))

/** What a placing costs, in minutes and in the order in which it counts: rules broken, late, cleaning, holding. */
export function costOf({ tasks }: Shop, { starts, cleans }: Placing): ScheduleCost {
  const cost: ScheduleCost = { broken: 0, late: 0, clean: 0, hold: 0 }
  for (let at = 0; at < tasks.length; at++) {
    const task = tasks[at]
    const start = starts[at] as number
    if (!task) continue
    if (!Number.isFinite(start)) {
      cost.broken += NO_PLACE
      continue
    }
    const end = start + task.minutes
    cost.clean += cleans[at] as number
    if (Number.isFinite(task.due)) {
      cost.late += Math.max(0, end - task.due)
      cost.hold += heldUntilDue(end, task)
    }
    for (const { task: before, lag, within } of task.after) {
      const gap = start - (starts[before] as number) - (tasks[before]?.minutes ?? 0) - lag
      if (Number.isFinite(gap)) {
        cost.hold += gap
        cost.broken += Math.max(0, gap - within)
      }
    }
  }
  return cost
}

const SAME = 1e-6

/** Whether one is better than another: broken, then late, then clean, then held. */
export function isBetter(one: ScheduleCost, other: ScheduleCost): boolean {
  for (const part of ['broken', 'late', 'clean', 'hold'] as const) {
    if (one[part] < other[part] - SAME) return true
    if (one[part] > other[part] + SAME) return false
  }
  return false
}

/** One number to walk by: what comes first counts far more. */
export const weighed = ({ broken, late, clean, hold }: ScheduleCost): number =>
  broken * 3000 + late * 60 + clean * 20 + hold * 0.002
