import type { StyleStep } from './cut-style.ts'

/** A step's part where nothing is known of any. */
const ANY = 1

/**
 * Minutes of one unit at each step, in their order: as each says. Those that say nothing share what the others leave of the
 * unit's minutes; where they leave nothing, they take as long as the others on average. Where nobody knows even the minutes
 * of the unit, every step is one minute: parts are of use then, minutes are not.
 */
export function stepMinutes(steps: readonly Pick<StyleStep, 'minutes'>[], minutesPerUnit: number): number[] {
  const measured = steps.flatMap(({ minutes }) => (minutes === null ? [] : [minutes]))
  const whole = measured.reduce((sum, minutes) => sum + minutes, 0)
  const left = minutesPerUnit - whole
  const average = measured.length > 0 ? whole / measured.length : ANY
  const usual = left > 0 ? left / (steps.length - measured.length) : average
  return steps.map(({ minutes }) => minutes ?? usual)
}
