export interface Summary {
  n: number
  /** Null where there is nothing. */
  mean: number | null
  /** Sample standard deviation; null for fewer than two values. */
  sd: number | null
}

/** Count, mean and sample standard deviation of finite numbers, in two passes. */
export function summarise(values: readonly number[]): Summary {
  const n = values.length
  if (n === 0) return { n, mean: null, sd: null }
  const mean = values.reduce((sum, value) => sum + value, 0) / n
  if (n === 1) return { n, mean, sd: null }
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0)
  return { n, mean, sd: Math.sqrt(squares / (n - 1)) }
}
