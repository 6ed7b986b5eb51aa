import { type Explanation, times, value } from '../explanation/index.ts'
import { lineFit } from '../statistics/index.ts'

export interface TimedTest {
  units: number
  minutesPerUnit: number
}

export interface Learning {
  /** Time of a unit ÷ time of a unit when half as many had been cut: below 1 where it falls. */
  rate: number
  /** The interval of `rate` lies wholly below 1: that time falls is more than luck. */
  isSure: boolean
  tests: number
  /** Units cut so far. */
  units: number
  /** Minutes of the next unit, and of one after as many again. */
  nextMinutes: number
  laterMinutes: number
  explanation: Explanation
}

/** Fewer records than this say nothing of learning. */
const MIN_TESTS = 4

/**
 * How the time of a unit falls with repetitions: `minutes = a × n^b`, fitted through the logarithms of the
 * records, oldest first, each standing at the middle of its own units. `rate` is `2^b`. Null for fewer than
 * four records or where one took no time.
 */
export function learningFrom(tests: readonly TimedTest[]): Learning | null {
  if (tests.length < MIN_TESTS || tests.some(({ minutesPerUnit }) => !(minutesPerUnit > 0))) return null
  let units = 0
  const counts = tests.map((test) => {
    const middle = units + (test.units + 1) / 2
    units += test.units
    return Math.log(middle)
  })
  const fit = lineFit(
    counts,
    tests.map((test) => Math.log(test.minutesPerUnit)),
  )
  if (!fit) return null
  const first = Math.exp(fit.intercept)
  const minutesAt = (count: number) => first * count ** fit.slope
  const next = units + 1
  return {
    rate: 2 ** fit.slope,
    isSure: fit.slope + fit.slopeHalfWidth < 0,
    tests: tests.length,
    units,
    nextMinutes: minutesAt(next),
    laterMinutes: minutesAt(units * 2 + 1),
    explanation: {
      title: 'Minutes of the next one',
      quantity: 'minutes',
      expression: times(
        value('minutes of the first', first, 'minutes'),
        value(`what ${next} repetitions leave of it`, next ** fit.slope, 'share'),
      ),
      note: `Each time the number cut doubles, ${(2 ** fit.slope * 100).toFixed(0)} % of the time is left.`,
    },
  }
}
