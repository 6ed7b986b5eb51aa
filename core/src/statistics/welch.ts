import statistics from 'jstat'
import { momentsOf } from './moments.ts'

const { jStat } = statistics

export interface WelchTest {
  /** Mean of the first less mean of the second. */
  difference: number
  /** How often chance alone would put them as far apart, both ways. */
  p: number
}

/**
 * Welch's t-test of two samples that need not spread alike. Null where either has fewer than two values, or where
 * neither spreads.
 */
export function welchTest(first: readonly number[], second: readonly number[]): WelchTest | null {
  const [a, b] = [momentsOf(first), momentsOf(second)]
  if (a.n < 2 || b.n < 2) return null
  const [varianceA, varianceB] = [a.squares / (a.n - 1) / a.n, b.squares / (b.n - 1) / b.n]
  const variance = varianceA + varianceB
  // What differs in the last digit alone does not spread.
  if (variance <= (1e-9 * Math.max(Math.abs(a.mean), Math.abs(b.mean), 1e-3)) ** 2) return null
  const degrees = variance ** 2 / (varianceA ** 2 / (a.n - 1) + varianceB ** 2 / (b.n - 1))
  const difference = a.mean - b.mean
  const t = Math.abs(difference) / Math.sqrt(variance)
  return { difference, p: Math.min(1, 2 * (1 - jStat.studentt.cdf(t, degrees))) }
}

/** Holm's correction: p-values that may be held against one level together, in the order they came. */
export function holm(ps: readonly number[]): number[] {
  const order = ps.map((p, index) => ({ p, at: index })).sort((a, b) => a.p - b.p)
  const corrected = new Array<number>(ps.length)
  let least = 0
  order.forEach(({ p, at }, rank) => {
    least = Math.max(least, Math.min(1, p * (ps.length - rank)))
    corrected[at] = least
  })
  return corrected
}
