import statistics from 'jstat'

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
