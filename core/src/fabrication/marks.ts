import type { LabourEntry } from './document.ts'

/**
 * What a cook says beside the weighings: a clock started or paused, the batch out of the cold or back in it,
 * a step done. Facts like readings: made once, on the device, and never changed.
 */
export const MARK_KINDS = ['labour-start', 'labour-pause', 'cold-out', 'cold-in', 'step-done'] as const
export type MarkKind = (typeof MARK_KINDS)[number]

export interface Mark {
  id: string
  kind: MarkKind
  /** Whose clock it is, or who did the step; null where nobody said. */
  cook: string | null
  /** What an hour of that cook costs; null but for a clock that starts. */
  ratePerHour: number | null
  /** Id of the step; null but for a step that is done. */
  step: string | null
  takenAt: string
}

const MS_PER_MINUTE = 60_000

/** Marks once each, by time and then by id, so that every device derives the same. */
export function marksInOrder(marks: readonly Mark[]): Mark[] {
  const unique = [...new Map(marks.map((mark) => [mark.id, mark])).values()]
  return unique.sort((a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt) || (a.id < b.id ? -1 : 1))
}

export interface LabourClock {
  cook: string
  ratePerHour: number
  /** Minutes measured up to `nowMs`. */
  minutes: number
  isRunning: boolean
}

/**
 * The clock of each cook who started one, in the order they started. Started twice, it runs once; a pause
 * without a start changes nothing. `nowMs` ends the clocks that still run (milliseconds since 1970, UTC).
 */
export function labourClocks(marks: readonly Mark[], nowMs: number): LabourClock[] {
  const clocks = new Map<string, LabourClock & { since: number | null }>()
  for (const mark of marksInOrder(marks)) {
    if (mark.cook === null) continue
    const at = Date.parse(mark.takenAt)
    const clock = clocks.get(mark.cook)
    if (mark.kind === 'labour-start') {
      const ratePerHour = mark.ratePerHour ?? clock?.ratePerHour ?? 0
      if (!clock) clocks.set(mark.cook, { cook: mark.cook, ratePerHour, minutes: 0, isRunning: true, since: at })
      else if (clock.since === null) Object.assign(clock, { ratePerHour, since: at, isRunning: true })
    }
    if (mark.kind === 'labour-pause' && clock && clock.since !== null) {
      clock.minutes += minutesFrom(clock.since, at)
      Object.assign(clock, { since: null, isRunning: false })
    }
  }
  return [...clocks.values()].map(({ since, ...clock }) => ({
    ...clock,
    minutes: clock.minutes + (since === null ? 0 : minutesFrom(since, nowMs)),
  }))
}

const minutesFrom = (fromMs: number, toMs: number) => Math.max(0, toMs - fromMs) / MS_PER_MINUTE

/** Labour as the clocks measured it, one entry a cook; null where nobody started one, and the style's minutes hold. */
export function labourFromMarks(marks: readonly Mark[], nowMs: number): LabourEntry[] | null {
  const clocks = labourClocks(marks, nowMs)
  if (clocks.length === 0) return null
  return clocks.map(({ cook, minutes, ratePerHour }) => ({ task: `break down, ${cook}`, minutes, ratePerHour }))
}

/** How long product may be out of the cold, minutes; defaults that local codes and the kitchen's plan overrule. */
export interface ColdLimits {
  /** At a stretch on the board. */
  boardMinutes: number
  /** In all above the cold. */
  outMinutes: number
}

export const DEFAULT_COLD_LIMITS: ColdLimits = { boardMinutes: 30, outMinutes: 120 }

/** From this share of a limit on, it is said in amber. */
const AMBER_SHARE = 0.8

export interface ColdClock {
  isOut: boolean
  /** Minutes of this stretch out of the cold; zero while it is back in. */
  boardMinutes: number
  /** Minutes out of the cold in all. */
  outMinutes: number
  level: 'ok' | 'amber' | 'red'
}

/** How long the batch has been out of the cold: out since `startedAt`, until somebody puts it back. */
export function coldClock(marks: readonly Mark[], startedAt: string, nowMs: number, limits: ColdLimits): ColdClock {
  let since: number | null = Date.parse(startedAt)
  let before = 0
  for (const { kind, takenAt } of marksInOrder(marks)) {
    const at = Date.parse(takenAt)
    if (kind === 'cold-out') since ??= at
    if (kind === 'cold-in' && since !== null) {
      before += minutesFrom(since, at)
      since = null
    }
  }
  const boardMinutes = since === null ? 0 : minutesFrom(since, nowMs)
  const outMinutes = before + boardMinutes
  const share = Math.max(boardMinutes / limits.boardMinutes, outMinutes / limits.outMinutes)
  return {
    isOut: since !== null,
    boardMinutes,
    outMinutes,
    level: share >= 1 ? 'red' : share >= AMBER_SHARE ? 'amber' : 'ok',
  }
}
