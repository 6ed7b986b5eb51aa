import statistics from 'jstat'
import { momentsOf } from './moments.ts'
import { CONFIDENCE } from './t-interval.ts'

const { jStat } = statistics

export interface LineFit {
  intercept: number
  slope: number
  /** Half the width of the interval of the slope. */
  slopeHalfWidth: number
  /** What the width of the line's band rests on: how many points, the middle of x, and how x and the rest spread. */
  n: number
  meanX: number
  squaresX: number
  residualSd: number
  /** Student's t at the interval's confidence. */
  quantile: number
}

/** Least-squares line through points; null for fewer than three of them, or where all stand at one x. */
export function lineFit(xs: readonly number[], ys: readonly number[], confidence = CONFIDENCE): LineFit | null {
  if (xs.length < 3 || xs.every((x) => x === xs[0])) return null
  const { coef, t } = jStat.models.ols(
    ys,
    xs.map((x) => [1, x]),
  )
  const quantile = jStat.studentt.inv((1 + confidence) / 2, xs.length - 2)
  const [intercept, slope] = coef as [number, number]
  const { n, mean: meanX, squares: squaresX } = momentsOf(xs)
  const rest = xs.reduce((sum, x, at) => sum + ((ys[at] as number) - intercept - slope * x) ** 2, 0)
  const residualSd = Math.sqrt(rest / (n - 2))
  return { intercept, slope, slopeHalfWidth: quantile * (t.se[1] as number), n, meanX, squaresX, residualSd, quantile }
}

/** The line at x. */
export const fitAt = ({ intercept, slope }: LineFit, x: number): number => intercept + slope * x

/** Half the width of the band in which the line lies at x: `t × s × √(1/n + (x − x̄)² ÷ Σ(x − x̄)²)`. */
export const fitHalfWidth = ({ n, meanX, squaresX, residualSd, quantile }: LineFit, x: number): number =>
  quantile * residualSd * Math.sqrt(1 / n + (x - meanX) ** 2 / squaresX)
