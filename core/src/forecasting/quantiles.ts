import statistics from 'jstat'
import type { Distribution } from './distribution.ts'

const { jStat } = statistics

/** The value below which a share `at` of a distribution about `centre` lies. */
export function distributionQuantile(distribution: Distribution, centre: number, at: number): number {
  switch (distribution.kind) {
    case 'fixed':
      return centre
    case 'normal':
      return distribution.sd > 0 ? jStat.normal.inv(at, centre, distribution.sd) : centre
    case 't':
      return centre + distribution.scale * jStat.studentt.inv(at, distribution.degrees)
    case 'bootstrap': {
      const sorted = [...distribution.values].sort((a, b) => a - b)
      return sorted[Math.min(sorted.length - 1, Math.floor(at * sorted.length))] as number
    }
  }
}
