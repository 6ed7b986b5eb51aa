import { type Fact, standingMarks } from '../facts/index.ts'
import { minutesFrom } from './marks.ts'

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

export type ColdLevel = 'ok' | 'amber' | 'red'

/** Some of a batch that came out of the cold together, with its own clock. */
export interface ColdLoad {
  /** From 1, in the order in which they came out. */
  load: number
  /** Birds, fish, loins or racks in it. */
  units: number
  /** Who took it out; null where nobody said, as of the first. */
  cookId: string | null
  isOut: boolean
  /** Minutes of this stretch out of the cold; zero while it is back in. */
  boardMinutes: number
  /** Minutes out of the cold in all. */
  outMinutes: number
  /** Minutes over each limit, zero within it: of this stretch, and in all. */
  overBoard: number
  overInAll: number
  level: ColdLevel
}

export interface ColdLoads {
  loads: ColdLoad[]
  /** Units that have not been out of the cold yet. */
  waiting: number
}

/** What the clocks of the cold need besides what the cooks said. */
export interface ColdBatch {
  /** Birds, fish, loins or racks in all. */
  units: number
  /** Those of them that came out when it started, 1 to `units`. */
  firstUnits: number
  /** UTC instant at which it started. */
  startedAt: string
  nowMs: number
  limits: ColdLimits
}

interface Running {
  load: number
  units: number
  cookId: string | null
  since: number | null
  before: number
}

/**
 * How long each load of a batch has been out of the cold. The first is out since the start; each later one since somebody
 * took it out; no more units come out than there are. A mark without a load is of all that have been out.
 */
export function coldLoads(
  facts: readonly Fact[],
  { units, firstUnits, startedAt, nowMs, limits }: ColdBatch,
): ColdLoads {
  const clocks: Running[] = [
    { load: 1, units: Math.min(units, firstUnits), cookId: null, since: Date.parse(startedAt), before: 0 },
  ]
  const left = (except: Running | null) =>
    units - clocks.reduce((sum, clock) => sum + (clock === except ? 0 : clock.units), 0)
  for (const { mark, takenAt, load, units: markedUnits, cookId } of standingMarks(facts)) {
    if (mark !== 'cold-out' && mark !== 'cold-in') continue
    const at = Date.parse(takenAt)
    const clocked = clocks.find((clock) => clock.load === load) ?? null
    const meant = load === null ? clocks : clocked ? [clocked] : []
    for (const clock of meant) {
      if (mark === 'cold-out') {
        clock.since ??= at
        if (markedUnits !== null && load !== null) clock.units = Math.max(1, Math.min(markedUnits, left(clock)))
      } else if (clock.since !== null) {
        clock.before += minutesFrom(clock.since, at)
        clock.since = null
      }
    }
    if (mark === 'cold-out' && load !== null && !clocked && left(null) > 0) {
      clocks.push({ load, units: Math.min(markedUnits ?? left(null), left(null)), cookId, since: at, before: 0 })
    }
  }
  return { loads: clocks.map((clock) => clockOf(clock, nowMs, limits)), waiting: left(null) }
}

function clockOf({ load, units, cookId, since, before }: Running, nowMs: number, limits: ColdLimits): ColdLoad {
  const boardMinutes = since === null ? 0 : minutesFrom(since, nowMs)
  const outMinutes = before + boardMinutes
  const share = Math.max(boardMinutes / limits.boardMinutes, outMinutes / limits.outMinutes)
  const level = share >= 1 ? 'red' : share >= AMBER_SHARE ? 'amber' : 'ok'
  const overBoard = Math.max(0, boardMinutes - limits.boardMinutes)
  const overInAll = Math.max(0, outMinutes - limits.outMinutes)
  return { load, units, cookId, isOut: since !== null, boardMinutes, outMinutes, overBoard, overInAll, level }
}
