import statistics from 'jstat'
import { summarise } from './summary.ts'

const { jStat } = statistics

/** How sure an interval is: in nine of ten cases the true mean lies inside. */
export const CONFIDENCE = 0.9

/**
 * Half the width of the Student-t interval of a mean: `t × sd ÷ √n`, with n − 1 degrees of freedom.
 * `n` is at least 2, `sd` zero or more.
 */
export function tHalfWidth(n: number, sd: number, confidence = CONFIDENCE): number {
  return (jStat.studentt.inv((1 + confidence) / 2, n - 1) * sd) / Math.sqrt(n)
}

/** The same where the standard deviation is taken as known: `z × sd ÷ √n`, n above zero. */
export function normalHalfWidth(n: number, sd: number, confidence = CONFIDENCE): number {
  return (jStat.normal.inv((1 + confidence) / 2, 0, 1) * sd) / Math.sqrt(n)
}

/** The share of a bell curve that lies below so many standard deviations from its middle, 0 to 1. */
export const normalShare = (deviations: number): number => jStat.normal.cdf(deviations, 0, 1)

export interface MeanDifference {
  /** Mean of the first less mean of the second. */
  difference: number
  /** Half the width of its interval. */
  halfWidth: number
}

/**
 * Difference of the means of two samples that need not spread alike, with its interval: Student's t with
 * the degrees of freedom of Welch and Satterthwaite. Null where either has fewer than two values.
 */
export function meanDifference(
  first: readonly number[],
  second: readonly number[],
  confidence = CONFIDENCE,
): MeanDifference | null {
  const [a, b] = [summarise(first), summarise(second)]
  if (a.mean === null || b.mean === null || a.sd === null || b.sd === null) return null
  const [varianceA, varianceB] = [a.sd ** 2 / a.n, b.sd ** 2 / b.n]
  const variance = varianceA + varianceB
  const difference = a.mean - b.mean
  if (variance === 0) return { difference, halfWidth: 0 }
  const degrees = variance ** 2 / (varianceA ** 2 / (a.n - 1) + varianceB ** 2 / (b.n - 1))
  return { difference, halfWidth: jStat.studentt.inv((1 + confidence) / 2, degrees) * Math.sqrt(variance) }
}

/** So many spreads below its mean a Student-t lies above in a share of cases, 0.5 to below 1: one-sided. */
export const oneSidedT = (share: number, degreesOfFreedom: number): number =>
  jStat.studentt.inv(share, degreesOfFreedom)
