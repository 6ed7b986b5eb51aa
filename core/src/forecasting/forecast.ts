import { FORECAST_INPUTS, type ForecastInput, type ForecastModel, savingAt } from './forecast-model.ts'
import type { Spreads } from './monte-carlo.ts'
import { distributionQuantile } from './quantiles.ts'

export interface HistogramBar {
  /** Savings from here up to, but not, `to`, money a portion. */
  from: number
  to: number
  count: number
}

/** What moves the saving when one input alone is at its low or high decile. */
export interface Swing {
  input: ForecastInput
  lowValue: number
  highValue: number
  /** Saving with the input at its low and at its high decile, all else at the centre. */
  atLow: number
  atHigh: number
  /** How far apart the two are. */
  reach: number
}

export interface Forecast {
  draws: number
  /** Share of draws in which making is cheaper. */
  probability: number
  mean: number
  /** Nine of ten draws lie between the two. */
  low: number
  high: number
  histogram: HistogramBar[]
  /** What moves it most first; inputs that do not move are left out. */
  swings: Swing[]
}

/** A twentieth of the draws lies below the band, and a twentieth above. */
export const LOW_TAIL = 0.05
const BARS = 30

/** What the draws say: how often making is cheaper, by how much, and what moves it most. */
export function forecastOf(model: ForecastModel, spreads: Spreads, savings: Float64Array): Forecast {
  const sorted = savings.slice().sort()
  const draws = sorted.length
  let sum = 0
  let cheaper = 0
  for (const saving of sorted) {
    sum += saving
    if (saving > 0) cheaper++
  }
  return {
    draws,
    probability: cheaper / draws,
    mean: sum / draws,
    low: quantileOf(sorted, LOW_TAIL),
    high: quantileOf(sorted, 1 - LOW_TAIL),
    histogram: histogramOf(sorted),
    swings: swingsOf(model, spreads),
  }
}

/** The value below which a share `at` of sorted values lies, between two of them where it falls there. */
export function quantileOf(sorted: ArrayLike<number>, at: number): number {
  const place = at * (sorted.length - 1)
  const below = Math.floor(place)
  const low = sorted[below] as number
  const high = sorted[Math.min(sorted.length - 1, below + 1)] as number
  return low + (high - low) * (place - below)
}

/** Counts between the outermost half per cent on either side, so that a rare draw does not flatten the rest. */
function histogramOf(sorted: Float64Array): HistogramBar[] {
  const from = quantileOf(sorted, 0.005)
  const to = quantileOf(sorted, 0.995)
  const width = (to - from) / BARS
  if (width <= 0) return [{ from, to, count: sorted.length }]
  const bars = Array.from({ length: BARS }, (_, index) => ({
    from: from + index * width,
    to: from + (index + 1) * width,
    count: 0,
  }))
  for (const saving of sorted) {
    const bar = bars[Math.min(BARS - 1, Math.floor((saving - from) / width))]
    if (bar && saving >= from && saving <= to) bar.count++
  }
  return bars
}

const LOW_DECILE = 0.1

function swingsOf(model: ForecastModel, spreads: Spreads): Swing[] {
  return FORECAST_INPUTS.map((input) => {
    const centre = model.centre[input]
    const lowValue = Math.max(0, distributionQuantile(spreads[input], centre, LOW_DECILE))
    const highValue = distributionQuantile(spreads[input], centre, 1 - LOW_DECILE)
    const atLow = savingAt(model, { ...model.centre, [input]: lowValue })
    const atHigh = savingAt(model, { ...model.centre, [input]: highValue })
    return { input, lowValue, highValue, atLow, atHigh, reach: Math.abs(atHigh - atLow) }
  })
    .filter((swing) => swing.reach > 0)
    .sort((a, b) => b.reach - a.reach)
}
