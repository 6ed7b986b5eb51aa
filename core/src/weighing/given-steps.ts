import { type Fact, standingMarks } from '../facts/index.ts'

/** Who does each step, by the id of the step: what was said last. Steps that are not there are anybody's. */
export function givenSteps(facts: readonly Fact[]): ReadonlyMap<string, string> {
  const given = new Map<string, string>()
  for (const { mark, step, cookId } of standingMarks(facts)) {
    if (mark !== 'step-given' || step === null) continue
    if (cookId === null) given.delete(step)
    else given.set(step, cookId)
  }
  return given
}

interface StepSearch {
  /** Ids of the steps in their order. */
  steps: readonly string[]
  /** Place of the step that is shown, from 0. */
  from: number
  given: ReadonlyMap<string, string>
  /** Who asks; null where nobody said. */
  cookId: string | null
}

/**
 * The place of the next step that is this cook's or anybody's; null where none of those is left. Where nobody said who
 * asks, it is the next step, whoever does it.
 */
export function nextStepFor({ steps, from, given, cookId }: StepSearch): number | null {
  const isMine = (step: string) => cookId === null || !given.has(step) || given.get(step) === cookId
  const at = steps.findIndex((step, place) => place > from && isMine(step))
  return at < 0 ? null : at
}
