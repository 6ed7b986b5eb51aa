import { normalHalfWidth, summarise, tHalfWidth } from '../statistics/index.ts'
import type { Estimate } from './estimated.ts'

/** From so many tests on, a kitchen's own mean stands alone. */
export const TESTS_FOR_OWN = 3
/** The assumed value counts as so many tests while it is blended. */
export const ASSUMED_WEIGHT = 2
/** Spread of an assumed value from kitchen to kitchen, as a share of it: a starting value is a round figure. */
const ASSUMED_SPREAD = 0.05

/**
 * What is known of a share, a time or a weight after some tests: the assumed value, a blend in which it
 * counts as two tests, or from three tests on the kitchen's own mean with its Student-t interval.
 * `assumed` is null where nothing is assumed. Null where nothing is known at all.
 */
export function estimateFrom(assumed: number | null, tests: readonly number[]): Estimate | null {
  const { n, mean, sd } = summarise(tests)
  if (mean !== null && sd !== null && n >= TESTS_FOR_OWN) {
    return { basis: 'own', tests: n, value: mean, halfWidth: tHalfWidth(n, sd) }
  }
  if (assumed === null) {
    return mean === null ? null : { basis: 'blended', tests: n, value: mean, halfWidth: spreadOf(mean, n) }
  }
  if (mean === null) return { basis: 'assumed', tests: 0, value: assumed, halfWidth: spreadOf(assumed, 0) }
  const value = (ASSUMED_WEIGHT * assumed + n * mean) / (ASSUMED_WEIGHT + n)
  return { basis: 'blended', tests: n, value, halfWidth: spreadOf(value, n) }
}

/**
 * The same for one supplier: its own tests speak alone from three on; before that what the kitchen knows of
 * all suppliers together stands in for the assumed value.
 */
export function estimateForSupplier(
  assumed: number | null,
  ofAll: readonly number[],
  ofSupplier: readonly number[],
): Estimate | null {
  const overall = estimateFrom(assumed, ofAll)
  return ofSupplier.length === 0 || overall === null ? overall : estimateFrom(overall.value, ofSupplier)
}

const spreadOf = (value: number, tests: number) =>
  normalHalfWidth(ASSUMED_WEIGHT + tests, Math.abs(value) * ASSUMED_SPREAD)
