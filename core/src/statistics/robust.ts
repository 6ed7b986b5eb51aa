/** From the median distance to a standard deviation, where values spread as a bell. */
const MAD_TO_SD = 1.4826

/** The middle of finite numbers, of which there is at least one. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  const high = sorted[middle] as number
  return sorted.length % 2 === 1 ? high : ((sorted[middle - 1] as number) + high) / 2
}

/** What is usual among numbers, and how far they spread, by medians: a few that are wrong move neither. */
export function usualOf(values: readonly number[]): { usual: number; sd: number } {
  const usual = median(values)
  return { usual, sd: MAD_TO_SD * median(values.map((value) => Math.abs(value - usual))) }
}
