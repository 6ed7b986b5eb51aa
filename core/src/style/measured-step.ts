import { type MeanDifference, meanDifference } from '../statistics/index.ts'
import { stepWorth } from './step-worth.ts'

/** What one record says of a step: grams of the pile that it feeds, and seconds, both for one unit. */
export interface StepTest {
  isDone: boolean
  grams: number
  seconds: number
}

export interface MeasuredStep {
  tests: { with: number; without: number }
  /** Grams and seconds that the step brings and takes for one unit. */
  grams: MeanDifference
  seconds: MeanDifference
  /** Money that it brings for one unit, with the interval in which grams and seconds move together. */
  worth: MeanDifference
}

/**
 * An optional step measured: records with it against records without it, as differences of means with
 * their intervals. Null until there are two of each.
 */
export function measuredStep(
  tests: readonly StepTest[],
  { valuePerKg, wagePerHour }: { valuePerKg: number; wagePerHour: number },
): MeasuredStep | null {
  const done = tests.filter((test) => test.isDone)
  const left = tests.filter((test) => !test.isDone)
  const differenceOf = (figure: (test: StepTest) => number) => meanDifference(done.map(figure), left.map(figure))
  const grams = differenceOf((test) => test.grams)
  const seconds = differenceOf((test) => test.seconds)
  const worth = differenceOf((test) => stepWorth({ ...test, valuePerKg, wagePerHour }).worth)
  if (!grams || !seconds || !worth) return null
  return { tests: { with: done.length, without: left.length }, grams, seconds, worth }
}
