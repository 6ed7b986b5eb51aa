import statistics from 'jstat'
import { CONFIDENCE } from './t-interval.ts'

const { jStat } = statistics

export interface LineFit {
  intercept: number
  slope: number
  /** Half the width of the interval of the slope. */
  slopeHalfWidth: number
}

/** Least-squares line through points; null for fewer than three of them, or where all stand at one x. */
export function lineFit(xs: readonly number[], ys: readonly number[], confidence = CONFIDENCE): LineFit | null {
  if (xs.length < 3 || xs.every((x) => x === xs[0])) return null
  const { coef, t } = jStat.models.ols(
    ys,
    xs.map((x) => [1, x]),
  )
  const quantile = jStat.studentt.inv((1 + confidence) / 2, xs.length - 2)
  return { intercept: coef[0] as number, slope: coef[1] as number, slopeHalfWidth: quantile * (t.se[1] as number) }
}
