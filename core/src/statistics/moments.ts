/** What a mean and a spread rest on; those of two groups make those of both together. */
export interface Moments {
  n: number
  /** Zero where there is nothing. */
  mean: number
  /** Sum of squared distances from the mean. */
  squares: number
}

export const NO_MOMENTS: Moments = { n: 0, mean: 0, squares: 0 }

/** Moments of finite numbers, in two passes. */
export function momentsOf(values: readonly number[]): Moments {
  const n = values.length
  if (n === 0) return NO_MOMENTS
  const mean = values.reduce((sum, value) => sum + value, 0) / n
  return { n, mean, squares: values.reduce((sum, value) => sum + (value - mean) ** 2, 0) }
}

/** Moments of two groups taken together, exact without their values. */
export function joinMoments(a: Moments, b: Moments): Moments {
  const n = a.n + b.n
  if (n === 0) return NO_MOMENTS
  const apart = b.mean - a.mean
  return {
    n,
    mean: a.mean + (apart * b.n) / n,
    squares: a.squares + b.squares + (apart ** 2 * a.n * b.n) / n,
  }
}
