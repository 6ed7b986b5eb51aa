/** The value below which a share `at` of the sorted values lies. */
export function quantile(values: readonly number[], at: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(at * sorted.length))] as number
}

export const median = (values: readonly number[]) => quantile(values, 0.5)

/** One line: what, ours, the baseline, the ratio, and what was aimed at. */
export function report(what: string, ours: string, baseline: string, ratio: number, aim: string): void {
  process.stdout.write(
    `${what.padEnd(46)} ${ours.padStart(22)}   ${baseline.padStart(34)}   ratio ${ratio.toFixed(2)}   ${aim}\n`,
  )
}
