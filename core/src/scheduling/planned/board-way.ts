import { lineParts } from '../../weighing/index.ts'

/** A step of a job, and its minutes of one unit. */
export interface JobStep {
  id: string
  title: string
  minutes: number
}

/** Some steps that follow each other: what one cook of a line does, or one stretch of a unit that takes long. */
export interface BoardPart {
  /** Ids of its steps, in their order; empty where they are not known. */
  steps: string[]
  /** Minutes of one unit. */
  minutes: number
}

/** How a job is cut, so that nothing of it is out of the cold for longer than it may be. */
export type BoardWay =
  /** Some units come out of the cold together; between two parts they go back into it. */
  | { kind: 'loads'; perLoad: number; loads: number; parts: BoardPart[] }
  /**
   * Units go along a line one by one; another begins every `pace` minutes, and each may wait so long before it is handed
   * on, a load that was tempered also before its first is begun.
   */
  | { kind: 'line'; perLoad: number; loads: number; parts: BoardPart[]; pace: number; mayWait: number }
  /** One unit alone is longer out of the cold than it may be. */
  | { kind: 'too-warm'; minutes: number; limit: number }

export interface BoardInput {
  units: number
  /** Minutes of one unit by one cook, zero where nobody knows. */
  minutesPerUnit: number
  steps: readonly JobStep[]
  /** Cooks in the line; 1 where one cook does all of a unit. */
  cooks: number
  /** How long anything may be out of the cold in one stretch at the board, minutes. */
  stretch: number
  /** How long it may be out in all, less what it stands before it is cut, minutes. */
  inAll: number
  /** All of a load is out of the cold before the first of it is cut. */
  isTempered: boolean
  /** How long the cooks of a line are there together, less what is laid out before, minutes. */
  together: number
}

/** Minutes to carry a load back into the cold. */
export const CARRY_MINUTES = 0.5
/** Minutes that differ by less are the same. */
const SAME = 1e-9

/**
 * Birds that go along a line one by one are out of the cold only as long as one of them takes: that way is taken where it
 * keeps the limits. Else load by load, with as many stretches as it takes: a load goes back into the cold between two parts
 * of a line, and in the middle of a unit that takes longer than a stretch.
 */
export function boardWay(input: BoardInput): BoardWay {
  const { units, minutesPerUnit, steps, cooks, stretch, inAll } = input
  const limit = Math.min(stretch, inAll)
  if (limit <= 0 || minutesPerUnit > inAll + SAME) return { kind: 'too-warm', minutes: minutesPerUnit, limit: inAll }
  if (minutesPerUnit === 0) return inLoads(units, units, partsOf(input, 1))
  const line = cooks > 1 ? partsOf(input, steps.length === 0 ? cooks : Math.min(cooks, steps.length)) : []
  if (line.length > 1) {
    const along = alongLine(input, line)
    if (along) return along
  }
  const parts = line.length > 1 && longestOf(line) + CARRY_MINUTES <= stretch ? line : stretchesOf(input)
  if (!parts) return { kind: 'too-warm', minutes: minutesPerUnit, limit: stretch }
  const carried = parts.length > 1 ? CARRY_MINUTES : 0
  const inStretch = Math.floor((stretch - carried) / longestOf(parts) + SAME)
  const inWhole = Math.floor((inAll - carried * (parts.length - 1)) / minutesPerUnit + SAME)
  if (inWhole < 1) return { kind: 'too-warm', minutes: minutesPerUnit, limit: inAll }
  return inLoads(units, Math.min(inStretch, inWhole), parts)
}

/** Loads of about one size, none larger than may be. */
function inLoads(units: number, most: number, parts: BoardPart[]): BoardWay {
  const loads = Math.max(1, Math.ceil(units / Math.max(1, most)))
  return { kind: 'loads', perLoad: Math.ceil(units / loads), loads, parts }
}

/** One by one along a line; null where a unit alone, or the hours of its cooks, do not let it. */
function alongLine(
  { units, minutesPerUnit, stretch, inAll, isTempered, together }: BoardInput,
  parts: BoardPart[],
): BoardWay | null {
  const limit = Math.min(stretch, inAll)
  const pace = longestOf(parts)
  const most = Math.min(together, isTempered ? limit : Number.POSITIVE_INFINITY)
  if (minutesPerUnit > limit + SAME || minutesPerUnit > most + SAME) return null
  const atOnce = Math.floor((most - minutesPerUnit) / pace + SAME) + 1
  const loads = Math.max(1, Math.ceil(units / atOnce))
  const perLoad = Math.ceil(units / loads)
  const out = minutesPerUnit + (isTempered ? (perLoad - 1) * pace : 0)
  const waits = isTempered ? parts.length : parts.length - 1
  return { kind: 'line', perLoad, loads, parts, pace, mayWait: Math.max(0, limit - out) / waits }
}

/** A unit in the fewest stretches that are short enough, by its steps; null where no time is left beside the carrying. */
function stretchesOf(input: BoardInput): BoardPart[] | null {
  const { minutesPerUnit, stretch, steps } = input
  if (minutesPerUnit <= stretch + SAME) return partsOf(input, 1)
  const most = stretch - CARRY_MINUTES
  if (most <= 0) return null
  const least = Math.ceil(minutesPerUnit / most - SAME)
  for (let count = least; count <= steps.length; count++) {
    const parts = partsOf(input, count)
    if (longestOf(parts) <= most + SAME) return parts
  }
  // A single step is longer than a stretch: it is broken off in the middle.
  return alike(minutesPerUnit, least)
}

const longestOf = (parts: readonly BoardPart[]) => Math.max(...parts.map(({ minutes }) => minutes))

const alike = (minutes: number, count: number): BoardPart[] =>
  Array.from({ length: count }, () => ({ steps: [], minutes: minutes / count }))

/** The steps of a unit in so many parts that are as even as they go. */
function partsOf({ steps, minutesPerUnit }: Pick<BoardInput, 'steps' | 'minutesPerUnit'>, count: number): BoardPart[] {
  const whole = steps.reduce((sum, { minutes }) => sum + minutes, 0)
  if (count < 2 || whole <= 0) return alike(minutesPerUnit, count)
  const hands = Array.from({ length: count }, (_, index) => `${index}`)
  return lineParts(steps, hands).map((part) => ({
    steps: part.steps,
    minutes: (minutesPerUnit * part.minutes) / whole,
  }))
}
