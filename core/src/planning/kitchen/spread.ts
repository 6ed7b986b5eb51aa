import { ASSUMED_WEIGHT } from '../../forecasting/index.ts'
import { summarise } from '../../statistics/index.ts'

/** From so many records on, a style's own spread is trusted; before that it is that of the item's styles together. */
const OWN_SPREAD_RECORDS = 5

/** Spread of a share as a part of it, with its degrees of freedom; null where nobody knows any. */
export interface RelativeSpread {
  sd: number
  df: number
}

/** The spreads of several series as parts of their means, together: Σ df × (sd ÷ mean)² ÷ Σ df. Null without two values anywhere. */
export function pooledSpread(series: readonly (readonly number[])[]): RelativeSpread | null {
  let squares = 0
  let df = 0
  for (const values of series) {
    const { n, mean, sd } = summarise(values)
    if (sd === null || mean === null || mean <= 0) continue
    squares += (n - 1) * (sd / mean) ** 2
    df += n - 1
  }
  return df > 0 ? { sd: Math.sqrt(squares / df), df } : null
}

/**
 * The spread to plan with: of the style's own records from five on, else pooled over the item's styles. `tests` says as
 * how many records the mean counts: one that is blended or assumed as those it was blended with.
 */
export function spreadToPlan(
  own: readonly number[],
  pooled: RelativeSpread | null,
): { relativeSd: number; df: number | null; tests: number; spread: 'own' | 'pooled' | 'none' } {
  const alone = pooledSpread([own])
  if (alone && own.length >= OWN_SPREAD_RECORDS) {
    return { relativeSd: alone.sd, df: null, tests: own.length, spread: 'own' }
  }
  const tests = own.length + ASSUMED_WEIGHT
  return pooled
    ? { relativeSd: pooled.sd, df: pooled.df, tests, spread: 'pooled' }
    : { relativeSd: 0, df: null, tests, spread: 'none' }
}
