import { summarise, tHalfWidth } from '../statistics/index.ts'
import type { Distribution } from './distribution.ts'
import { ASSUMED_WEIGHT, TESTS_FOR_OWN } from './estimate.ts'
import type { ForecastInput, ForecastModel } from './forecast-model.ts'
import type { Spreads } from './monte-carlo.ts'

/** What a kitchen has measured and been asked for that a forecast can rest on. */
export interface Evidence {
  /** Share of AP of the pile in each test of the style, newest first. */
  yields: readonly number[]
  /** Minutes for one unit in each of them. */
  minutesPerUnit: readonly number[]
  /** What was asked for a kilo of AP through the last year; one price says nothing of its spread. */
  apPrices: readonly number[]
  /** What was asked for the offer, in its own unit. */
  offerPrices: readonly number[]
}

/** Spread of what nobody has measured, as a share of its value. */
const ASSUMED_SPREAD: Readonly<Record<ForecastInput, number>> = {
  yield: 0.05,
  minutes: 0.15,
  credit: 0.1,
  apPricePerKg: 0.05,
  offerAmount: 0.03,
  usableShare: 0.01,
}

/**
 * How far each input may be off. A yield and a time are taken from the kitchen's own tests from three on: the
 * mean moves by Student's t with its standard error. Prices move as they moved through the last year. What
 * has not been measured moves by an assumed share, which shrinks with the tests there are.
 */
export function spreadsFrom(model: ForecastModel, evidence: Evidence): Spreads {
  const { centre } = model
  const assumed = (input: ForecastInput, tests = 0): Distribution => ({
    kind: 'normal',
    sd: (Math.abs(centre[input]) * ASSUMED_SPREAD[input]) / Math.sqrt(1 + tests / ASSUMED_WEIGHT),
  })
  const measured = (input: 'yield' | 'minutes', tests: readonly number[]): Distribution => {
    const { n, mean, sd } = summarise(tests)
    if (n < TESTS_FOR_OWN || mean === null || sd === null || mean <= 0) return assumed(input, n)
    // The spread of the tests, on the scale of this record: its batch may be larger.
    return { kind: 't', scale: ((sd / mean) * centre[input]) / Math.sqrt(n), degrees: n - 1 }
  }
  const moved = (input: 'apPricePerKg' | 'offerAmount', prices: readonly number[]): Distribution => {
    const { mean, sd } = summarise(prices)
    return mean === null || sd === null || sd === 0
      ? assumed(input)
      : { kind: 'normal', sd: (sd / mean) * centre[input] }
  }
  return {
    yield: measured('yield', evidence.yields),
    minutes: measured('minutes', evidence.minutesPerUnit),
    credit: centre.credit > 0 && model.credit !== 0 ? assumed('credit') : { kind: 'fixed' },
    apPricePerKg: moved('apPricePerKg', evidence.apPrices),
    offerAmount: moved('offerAmount', evidence.offerPrices),
    usableShare: centre.usableShare < 1 ? assumed('usableShare') : { kind: 'fixed' },
  }
}

/** More weighings than this are not asked for: then something else than the yield decides. */
const MAX_TESTS = 60

/**
 * How many more weighings would settle the verdict as far as the yield goes: until the half-width of its
 * interval is smaller than the distance from its mean to the yield at which making and buying are even.
 * Zero where they do already; null where no number up to sixty would. `sd` and `mean` of the tests, or of
 * what is assumed; `n` tests so far.
 */
function weighingsToSettle(n: number, mean: number, sd: number, evenYield: number): number | null {
  const distance = Math.abs(mean - evenYield)
  for (let tests = Math.max(2, n); tests <= MAX_TESTS; tests++) {
    if (tHalfWidth(tests, sd) < distance && tests >= TESTS_FOR_OWN) return Math.max(0, tests - n)
  }
  return null
}

/**
 * How many more weighings would settle a verdict, from the tests there are: their own mean and spread from
 * three on, before that the yield expected with the spread that is assumed. See `weighingsToSettle`.
 */
export function testsToSettle(yields: readonly number[], expected: number, evenYield: number): number | null {
  const { n, mean, sd } = summarise(yields)
  const isOwn = n >= TESTS_FOR_OWN && mean !== null && sd !== null
  return weighingsToSettle(n, isOwn ? mean : expected, isOwn ? sd : expected * ASSUMED_SPREAD.yield, evenYield)
}
