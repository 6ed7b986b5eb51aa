import { MINUTES_OF_A_DAY } from './settings.ts'
import type { WorkSettings } from './work-shapes.ts'

/** Assumed: what a pot takes of whoever is on duty, when it is put on and when it is strained or emptied and cooled. */
export const PUT_ON_MINUTES = 5
export const TAKE_OFF_MINUTES = 10
/** It is on the stove so soon after that, and may be kept hot for so long when it is done. */
export const PUT_ON_WITHIN = 10
export const KEPT_WARM_MINUTES = 30

/**
 * Whether somebody is on duty both when something is put on for some hours and when it is done, today or on the morning
 * after: the kitchen is manned from when the day begins until it closes.
 */
export function isWatched(hours: number, { begins, closes }: Pick<WorkSettings, 'begins' | 'closes'>): boolean {
  // Where it may end, put on as soon as the day begins and as late as one can.
  const soonest = begins + PUT_ON_MINUTES + hours * 60
  const latest = closes + PUT_ON_WITHIN + hours * 60 + KEPT_WARM_MINUTES
  if (closes - begins < Math.max(PUT_ON_MINUTES, TAKE_OFF_MINUTES)) return false
  return Array.from({ length: 1 + Math.ceil(latest / MINUTES_OF_A_DAY) }, (_, index) => index * MINUTES_OF_A_DAY).some(
    (day) => soonest <= day + closes - TAKE_OFF_MINUTES && latest >= day + begins,
  )
}

/** When the kitchen is manned, on each day of a plan and on the one after it. */
export const dutyShifts = (
  days: number,
  { begins, closes }: Pick<WorkSettings, 'begins' | 'closes'>,
): [from: number, until: number][] =>
  Array.from({ length: days + 1 }, (_, index) => [index * MINUTES_OF_A_DAY + begins, index * MINUTES_OF_A_DAY + closes])
