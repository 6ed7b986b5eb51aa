import { leadingComparison, type Verdict } from '../comparison/index.ts'
import type { Appraisal } from './appraisal.ts'

/** A change of the formulas after which a record may come to another answer. */
export interface FormulaChange {
  /** Counts up from 1; a record keeps the number of the formulas by which it was judged. */
  number: number
  /** The day from which records were judged by it, ISO 8601. */
  since: string
  what: string
}

/** Every change of the formulas of costs and verdicts, oldest first; docs/formulas.md says more of each. */
export const FORMULA_CHANGES: readonly FormulaChange[] = [
  { number: 1, since: '2026-11-24', what: 'costs, yields and verdicts as they were first' },
  { number: 2, since: '2026-11-25', what: 'plates are compared at what they really carry' },
  { number: 3, since: '2026-11-26', what: 'by-products count by their kind, whatever they are called' },
  { number: 4, since: '2026-12-01', what: 'charges of an offer are spread over the whole order' },
]

/** The number of the formulas of today. */
export const FORMULAS = FORMULA_CHANGES.at(-1)?.number as number

/** What a record came to, in short: of the pile that the verdict speaks of first, money of one portion. */
export interface Judgement {
  verdict: Verdict | null
  costPerPortion: number | null
  /** What making a portion brings against buying it. */
  savingPerPortion: number | null
}

/** What is kept of an appraisal when a record is closed: the verdict of the leading pile, its money per portion. */
export function judgementOf({ piles, comparisons }: Pick<Appraisal, 'piles' | 'comparisons'>): Judgement {
  const at = leadingComparison(piles, comparisons)
  const leading = at === null ? undefined : comparisons[at]
  return {
    verdict: leading?.verdict ?? null,
    // Without an offer nothing is compared, and a portion has its cost all the same.
    costPerPortion: leading?.costPerPortion ?? piles.find((pile) => pile.class === 'primary')?.costPerPortion ?? null,
    savingPerPortion: leading?.saving ?? null,
  }
}

/** Money of a portion that is no difference: below a hundredth of a cent it is how computers count. */
const SAME_MONEY = 1e-4

/** Whether two answers to the same record say something else. */
export function isOtherJudgement(one: Judgement, other: Judgement): boolean {
  const isApart = (a: number | null, b: number | null) =>
    a === null || b === null ? a !== b : Math.abs(a - b) > SAME_MONEY
  return (
    one.verdict !== other.verdict ||
    isApart(one.costPerPortion, other.costPerPortion) ||
    isApart(one.savingPerPortion, other.savingPerPortion)
  )
}

/** What has changed since formulas of a number, oldest first. */
export const changesSince = (number: number): readonly FormulaChange[] =>
  FORMULA_CHANGES.filter((change) => change.number > number)
