import statistics from 'jstat'

const { jStat } = statistics

/** What repeats with the year: a wave through values by the day of the year. */
export interface YearlySwing {
  /** From the lowest to the highest of the wave. */
  swing: number
  /** Where in the year it is highest, 0 (new year) to 1. */
  highest: number
  /** How often chance alone would make as strong a wave. */
  p: number
}

/**
 * The wave of one year that fits values best, by least squares: a·cos + b·sin of the place in the year, 0 to 1. Its p is
 * that of F with 2 and n − 3 degrees, `(1 − R²)^((n − 3) ÷ 2)`. Null for fewer than four values or where none differs.
 */
export function yearlySwing(places: readonly number[], values: readonly number[]): YearlySwing | null {
  const n = values.length
  if (n < 4 || values.every((value) => value === values[0])) return null
  const turn = 2 * Math.PI
  const { coef, R2 } = jStat.models.ols(
    values,
    places.map((place) => [1, Math.cos(turn * place), Math.sin(turn * place)]),
  )
  const [, a, b] = coef as [number, number, number]
  const explained = Math.min(1, Math.max(0, R2))
  return {
    swing: 2 * Math.hypot(a, b),
    highest: (Math.atan2(b, a) / turn + 1) % 1,
    p: (1 - explained) ** ((n - 3) / 2),
  }
}
