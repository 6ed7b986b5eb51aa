import type { ColdLimits, ColdLoad } from '../fabrication/index.ts'

const whole = (minutes: number) => `${Math.floor(minutes)}\u00a0min`

/** How long a load has been out, against both limits: `12 of 30 min out, 40 of 120 min in all`. */
export const outWords = (load: Pick<ColdLoad, 'boardMinutes' | 'outMinutes'>, limits: ColdLimits): string =>
  `${Math.floor(load.boardMinutes)} of ${whole(limits.boardMinutes)} out, ${Math.floor(load.outMinutes)} of ${whole(limits.outMinutes)} in all`

/**
 * What to do about a load that has been out for too long: `9 min over: back now`, or `4 min over in all: back now, and
 * not out again`. Null where it is within both limits, or back in the cold.
 */
export function overWords(load: Pick<ColdLoad, 'isOut' | 'overBoard' | 'overInAll'>): string | null {
  if (!load.isOut) return null
  if (load.overInAll > 0) return `${whole(load.overInAll)} over in all: back now, and not out again`
  return load.overBoard > 0 ? `${whole(load.overBoard)} over: back now` : null
}
