import { type Fact, standingMarks } from '../facts/index.ts'
import { LONGEST_COOK_NAME, MAX_MINUTES } from '../limits/index.ts'
import type { LabourEntry } from './document.ts'

const MS_PER_MINUTE = 60_000

export interface LabourClock {
  /** Null for a clock that nobody in particular started. */
  cookId: string | null
  ratePerHour: number
  /** Minutes measured up to `nowMs`. */
  minutes: number
  isRunning: boolean
}

/**
 * The clock of each cook who started one, in the order they started. Started twice, it runs once; a pause
 * without a start changes nothing. `nowMs` ends the clocks that still run (milliseconds since 1970, UTC).
 */
export function labourClocks(facts: readonly Fact[], nowMs: number): LabourClock[] {
  const clocks = new Map<string | null, LabourClock & { since: number | null }>()
  for (const { mark, cookId, takenAt, ...said } of standingMarks(facts)) {
    const at = Date.parse(takenAt)
    const clock = clocks.get(cookId)
    if (mark === 'labour-start') {
      const ratePerHour = said.ratePerHour ?? clock?.ratePerHour ?? 0
      if (!clock) clocks.set(cookId, { cookId, ratePerHour, minutes: 0, isRunning: true, since: at })
      else if (clock.since === null) Object.assign(clock, { ratePerHour, since: at, isRunning: true })
    }
    if (mark === 'labour-pause' && clock && clock.since !== null) {
      clock.minutes += minutesFrom(clock.since, at)
      Object.assign(clock, { since: null, isRunning: false })
    }
  }
  return [...clocks.values()].map(({ since, ...clock }) => ({
    ...clock,
    minutes: Math.min(MAX_MINUTES, clock.minutes + (since === null ? 0 : minutesFrom(since, nowMs))),
  }))
}

/** Minutes between two instants, never below zero: two devices may disagree about the time. */
export const minutesFrom = (fromMs: number, toMs: number) => Math.max(0, toMs - fromMs) / MS_PER_MINUTE

/** The name of a cook by id; undefined where nobody knows it. */
export type CookName = (cookId: string) => string | undefined

/** Labour as the clocks measured it, one entry a cook; null where nobody started one, and the style's minutes hold. */
export function labourFromMarks(facts: readonly Fact[], nowMs: number, cookName: CookName): LabourEntry[] | null {
  const clocks = labourClocks(facts, nowMs)
  if (clocks.length === 0) return null
  return clocks.map(({ cookId, minutes, ratePerHour }) => {
    const name = cookId === null ? undefined : cookName(cookId)
    const whose = name === undefined ? '' : `, ${name.slice(0, LONGEST_COOK_NAME)}`
    return { task: `break down${whose}`, minutes, ratePerHour }
  })
}
