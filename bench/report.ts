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

const ROUND_MS = 4
const ROUNDS = 400
/** The first quarter is there to warm up. */
const WARM_UP = 0.25

/** Microseconds that each of two functions takes, and how often the second goes into the first, by medians of rounds. */
export interface Paired {
  ours: number
  baseline: number
  ratio: number
}

/** Times two functions in short rounds, one after the other, so that a slow moment of the machine falls on both. */
export function timePaired(ours: () => void, baseline: () => void, rounds = ROUNDS): Paired {
  const round = (work: () => void) => {
    const start = performance.now()
    let count = 0
    while (performance.now() - start < ROUND_MS) {
      work()
      count++
    }
    return ((performance.now() - start) * 1000) / count
  }
  const times: { ours: number; baseline: number }[] = []
  const coldRounds = Math.ceil(rounds * WARM_UP)
  for (let at = 0; at < coldRounds + rounds; at++) times.push({ ours: round(ours), baseline: round(baseline) })
  const warm = times.slice(coldRounds)
  return {
    ours: median(warm.map((run) => run.ours)),
    baseline: median(warm.map((run) => run.baseline)),
    ratio: median(warm.map((run) => run.ours / run.baseline)),
  }
}
