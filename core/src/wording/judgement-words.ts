import { changesSince, FORMULA_CHANGES, isOtherJudgement, type Judgement } from '../appraisal/index.ts'
import type { Format } from './format.ts'
import { VERDICT_WORDS } from './words.ts'

/** What a record was judged at when it was closed. */
export interface JudgedBefore extends Judgement {
  formulas: number
  /** The answer was kept; else only the number of the formulas. */
  isKept: boolean
}

/**
 * What a record came to by the formulas by which it was judged, beside today's; null where they say the same, or are
 * the same.
 */
export function judgementWords(before: JudgedBefore, now: Judgement, format: Format): string | null {
  const changes = changesSince(before.formulas)
  if (changes.length === 0 || (before.isKept && !isOtherJudgement(before, now))) return null
  const because = `Since then ${changes.map(({ what }) => what).join('; ')}.`
  if (!before.isKept) {
    return `This was closed by the formulas of ${dayOfFormulas(before.formulas)}, whose answer was not kept; today’s stand here. ${because}`
  }
  return `By the formulas of ${dayOfFormulas(before.formulas)}, by which it was closed: ${answerWords(before, format)}. By today’s: ${answerWords(now, format)}. ${because}`
}

/** `24 November 2026`, from which formulas of a number held. */
function dayOfFormulas(number: number): string {
  const since = FORMULA_CHANGES.find((change) => change.number === number)?.since
  if (since === undefined) return 'before'
  const written = { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' } as const
  return new Intl.DateTimeFormat('en-GB', written).format(new Date(`${since}T12:00:00Z`))
}

function answerWords({ verdict, costPerPortion, savingPerPortion }: Judgement, format: Format): string {
  const money = (amount: number) => format.money(Math.abs(amount))
  const cost = costPerPortion === null ? '' : `, a portion ${money(costPerPortion)}`
  const saving =
    savingPerPortion === null
      ? ''
      : `, ${money(savingPerPortion)} ${savingPerPortion < 0 ? 'more' : 'less'} than bought`
  return `${VERDICT_WORDS[verdict ?? 'none']}${cost}${saving}`
}
