import type { Fact } from '../facts/index.ts'
import type { LabourEntry } from './document.ts'
import { type CookName, labourFromMarks } from './marks.ts'

/**
 * Where the labour of a record is from: the style's minutes (`assumed`), the same because a cook said that they hold
 * (`expected`), the cooks' clocks (`timed`), or minutes that somebody said (`typed`).
 */
export const LABOUR_SOURCES = ['assumed', 'expected', 'timed', 'typed'] as const
export type LabourSource = (typeof LABOUR_SOURCES)[number]

export interface Labour {
  entries: readonly LabourEntry[]
  source: LabourSource
}

/** Clocked minutes that are far from those expected: somebody is asked which hold. */
export interface LabourDoubt {
  timedMinutes: number
  expectedMinutes: number
}

/** What of a plan says how long the work takes. */
export interface LabourPlan {
  labour: readonly LabourEntry[]
  labourFrom: LabourSource
}

/** Clocked time that is less than this share of what is expected, or more than its inverse, is asked about. */
const DOUBTFUL_SHARE = 0.5

const minutesOf = (entries: readonly LabourEntry[]) => entries.reduce((sum, { minutes }) => sum + minutes, 0)
const costOf = (entries: readonly LabourEntry[]) =>
  entries.reduce((sum, { minutes, ratePerHour }) => sum + minutes * ratePerHour, 0)

function doubtOf(expected: readonly LabourEntry[], timed: readonly LabourEntry[]): LabourDoubt | null {
  const [expectedMinutes, timedMinutes] = [minutesOf(expected), minutesOf(timed)]
  if (expectedMinutes === 0) return null
  const share = timedMinutes / expectedMinutes
  return share < DOUBTFUL_SHARE || share > 1 / DOUBTFUL_SHARE ? { timedMinutes, expectedMinutes } : null
}

/** Somebody has said which minutes hold: clocks do not change them any more. */
const isSaid = ({ labourFrom }: LabourPlan) => labourFrom === 'typed' || labourFrom === 'expected'

/**
 * Labour while the work goes on: what the clocks say once that is more than expected, and not so much more that it
 * must be asked about. A clock that was just started, or was forgotten, makes no portion cheaper.
 * `nowMs` ends the clocks that still run (milliseconds since 1970, UTC).
 */
export function labourSoFar(plan: LabourPlan, facts: readonly Fact[], nowMs: number, cookName: CookName): Labour {
  const planned: Labour = { entries: plan.labour, source: plan.labourFrom }
  const timed = isSaid(plan) ? null : labourFromMarks(facts, nowMs, cookName)
  if (!timed || doubtOf(plan.labour, timed) || costOf(timed) < costOf(plan.labour)) return planned
  return { entries: timed, source: 'timed' }
}

/** Labour as a record ends: the clocks', unless that must be asked about; then what was expected until somebody says. */
export function labourAtEnd(plan: LabourPlan, facts: readonly Fact[], nowMs: number, cookName: CookName): Labour {
  const timed = isSaid(plan) ? null : labourFromMarks(facts, nowMs, cookName)
  if (!timed || doubtOf(plan.labour, timed)) return { entries: plan.labour, source: plan.labourFrom }
  return { entries: timed, source: 'timed' }
}

/** What is asked of a record whose clocks say far less or more than was expected; null where nothing is, or it was answered. */
export function labourDoubt(plan: LabourPlan, facts: readonly Fact[], nowMs: number): LabourDoubt | null {
  if (plan.labourFrom !== 'assumed') return null
  const timed = labourFromMarks(facts, nowMs, () => undefined)
  return timed && doubtOf(plan.labour, timed)
}

/** What somebody answers: the clocks hold, what was expected holds, or so many minutes in all. */
export type LabourAnswer = { source: 'timed' } | { source: 'expected' } | { source: 'typed'; minutes: number }

/** The labour of a record by an answer; `nowMs` ends the clocks that still run. */
export function labourAnswered(
  plan: LabourPlan,
  facts: readonly Fact[],
  nowMs: number,
  cookName: CookName,
  answer: LabourAnswer,
): Labour {
  const { source } = answer
  if (source === 'expected') return { entries: plan.labour, source }
  const timed = labourFromMarks(facts, nowMs, cookName) ?? plan.labour
  return { entries: source === 'timed' ? timed : labourOfMinutes(plan.labour, answer.minutes), source }
}

/** The labour of a plan with so many minutes in all, shared as before. */
function labourOfMinutes(labour: readonly LabourEntry[], minutes: number): LabourEntry[] {
  const before = minutesOf(labour)
  return labour.map((entry) => ({ ...entry, minutes: (entry.minutes / before) * minutes }))
}
