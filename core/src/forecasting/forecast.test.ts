import fc from 'fast-check'
import statistics from 'jstat'
import { sixChickens } from '../../test/documents.ts'
import { appraise, atApPrice } from '../appraisal/index.ts'
import { evaluate } from '../explanation/index.ts'
import {
  type Distribution,
  distributionQuantile,
  drawSavings,
  FORECAST_INPUTS,
  type ForecastFigure,
  type ForecastInput,
  type ForecastModel,
  ForecastRun,
  forecastFigure,
  forecastModel,
  forecastOf,
  quantileOf,
  type Spreads,
  savingAt,
  spreadsFrom,
  testsToSettle,
} from './index.ts'

const { jStat } = statistics
const document = sixChickens()
const model = forecastModel(document, 0) as ForecastModel
const FIXED = Object.fromEntries(FORECAST_INPUTS.map((input) => [input, { kind: 'fixed' }])) as unknown as Spreads
const only = (input: ForecastInput, distribution: Distribution): Spreads => ({ ...FIXED, [input]: distribution })
const DRAWS = 40_000
const draw = (spreads: Spreads, seed = 0.5) => drawSavings(model, spreads, { draws: DRAWS, seed })
const sortedDraws = (spreads: Spreads) => draw(spreads).sort()

describe('the model', () => {
  test('at its centre says what appraising says', () => {
    expect(savingAt(model, model.centre)).toBeCloseTo(appraise(document).comparisons[0]?.saving as number, 9)
  })

  test('at another price says what appraising at that price says', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 12, noNaN: true }), (apPricePerKg) => {
        const again = appraise(atApPrice(document, apPricePerKg)).comparisons[0]?.saving as number
        expect(savingAt(model, { ...model.centre, apPricePerKg })).toBeCloseTo(again, 8)
      }),
      { seed: 5, numRuns: 40 },
    )
  })

  test('with other minutes or another offer, likewise', () => {
    const labour = (document.labour ?? []).map((entry) => ({ ...entry, minutes: entry.minutes * 2 }))
    const slow = appraise({ ...document, labour }).comparisons[0]?.saving as number
    expect(savingAt(model, { ...model.centre, minutes: model.centre.minutes * 2 })).toBeCloseTo(slow, 9)
    const offers = (document.offers ?? []).map((offer) => ({
      ...offer,
      usableShare: 0.9,
      price: { ...offer.price, amount: 80 },
    }))
    const dear = appraise({ ...document, offers }).comparisons[0]?.saving as number
    expect(savingAt(model, { ...model.centre, usableShare: 0.9, offerAmount: 80 })).toBeCloseTo(dear, 9)
  })

  test('without an offer there is nothing to forecast', () => {
    expect(forecastModel(sixChickens({ offers: [] }), 0)).toBeNull()
  })
})

describe('draws', () => {
  test('are identical for the same seed, and others for another', () => {
    const spreads = spreadsFrom(model, { yields: [], minutesPerUnit: [], apPrices: [], offerPrices: [] })
    expect(draw(spreads, 0.25)).toEqual(draw(spreads, 0.25))
    expect(draw(spreads, 0.25)).not.toEqual(draw(spreads, 0.26))
    // Held here so that every machine, and every browser, can be seen to draw the same.
    expect([...drawSavings(model, spreads, { draws: 3, seed: 0.42 })].map((saving) => saving.toFixed(9))).toEqual([
      '-0.312636262',
      '0.073386909',
      '0.402553614',
    ])
  })

  test('are the same however the run is cut', () => {
    const spreads = only('yield', { kind: 't', scale: 0.01, degrees: 4 })
    const run = new ForecastRun(model, spreads, { draws: 1000, seed: 0.1 })
    while (!run.isDone) run.step(137)
    expect(run.savings).toEqual(drawSavings(model, spreads, { draws: 1000, seed: 0.1 }))
  })

  test('of a certain price are one number', () => {
    const savings = sortedDraws(FIXED)
    expect(quantileOf(savings, 0)).toBe(quantileOf(savings, 1))
  })
})

/** A saving is linear in the price, so a normal price makes a normal saving: mean, spread and quantiles are known. */
describe('against closed forms', () => {
  const perEuro =
    savingAt(model, { ...model.centre, apPricePerKg: model.centre.apPricePerKg + 1 }) - savingAt(model, model.centre)
  const centre = savingAt(model, model.centre)

  test('a normal price makes a normal saving', () => {
    const sd = 0.3
    const savings = sortedDraws(only('apPricePerKg', { kind: 'normal', sd }))
    for (const at of [0.05, 0.25, 0.5, 0.75, 0.95]) {
      expect(quantileOf(savings, at)).toBeCloseTo(jStat.normal.inv(at, centre, Math.abs(perEuro) * sd), 1)
    }
    const { probability, mean } = forecastOf(model, FIXED, savings)
    const known = 1 - normalBelow((0 - centre) / (Math.abs(perEuro) * sd))
    expect(Math.abs(probability - known)).toBeLessThan(0.01)
    expect(mean).toBeCloseTo(centre, 2)
  })

  test('a t yield makes the quantiles of t, through the saving that each yield gives', () => {
    const distribution = { kind: 't', scale: 0.008, degrees: 5 } as const
    const savings = sortedDraws(only('yield', distribution))
    for (const at of [0.05, 0.25, 0.5, 0.75, 0.95]) {
      const value = model.centre.yield + 0.008 * jStat.studentt.inv(at, 5)
      expect(quantileOf(savings, at)).toBeCloseTo(savingAt(model, { ...model.centre, yield: value }), 1)
    }
  })

  test('a bootstrap draws only what was measured', () => {
    const values = [0.24, 0.26, 0.28]
    const possible = new Set(values.map((value) => savingAt(model, { ...model.centre, yield: value })))
    for (const saving of draw(only('yield', { kind: 'bootstrap', values })).slice(0, 200))
      expect(possible.has(saving)).toBe(true)
  })
})

/** The normal distribution below z, from its quantile, by halving. */
function normalBelow(z: number): number {
  let [low, high] = [1e-9, 1 - 1e-9]
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2
    if (jStat.normal.inv(middle, 0, 1) < z) low = middle
    else high = middle
  }
  return (low + high) / 2
}

describe('the forecast', () => {
  const evidence = {
    yields: [0.27, 0.265, 0.272, 0.26],
    minutesPerUnit: [9, 9.5, 8.8, 9.2],
    apPrices: [3, 3.3, 3.6],
    offerPrices: [76, 76],
  }
  const spreads = spreadsFrom(model, evidence)
  const forecast = forecastOf(model, spreads, draw(spreads))

  test('bars hold all but the outermost draws', () => {
    const counted = forecast.histogram.reduce((sum, bar) => sum + bar.count, 0)
    expect(counted / forecast.draws).toBeGreaterThan(0.985)
    expect(forecast.low).toBeLessThan(forecast.mean)
    expect(forecast.high).toBeGreaterThan(forecast.mean)
  })

  test('what moves it most comes first, each alone between its deciles', () => {
    const reaches = forecast.swings.map((swing) => swing.reach)
    expect(reaches).toEqual([...reaches].sort((a, b) => b - a))
    expect(forecast.swings[0]?.input).toBe('apPricePerKg')
    const price = forecast.swings[0]
    expect(price?.atLow).toBeCloseTo(savingAt(model, { ...model.centre, apPricePerKg: price?.lowValue as number }), 12)
  })

  test('rests on own tests from three on, and on assumed spreads before that', () => {
    expect(spreads.yield).toMatchObject({ kind: 't', degrees: 3 })
    expect(spreads.minutes).toMatchObject({ kind: 't', degrees: 3 })
    expect(spreads.apPricePerKg).toMatchObject({ kind: 'normal' })
    const early = spreadsFrom(model, { ...evidence, yields: [0.27], minutesPerUnit: [] })
    expect([early.yield.kind, early.minutes.kind]).toEqual(['normal', 'normal'])
    const none = spreadsFrom(model, { ...evidence, yields: [] })
    expect((early.yield as { sd: number }).sd).toBeLessThan((none.yield as { sd: number }).sd)
  })
})

test.each([
  [{ kind: 'fixed' }, 5],
  [{ kind: 'normal', sd: 2 }, 5],
  [{ kind: 'normal', sd: 0 }, 5],
  [{ kind: 't', scale: 2, degrees: 3 }, 5],
  [{ kind: 'bootstrap', values: [7, 3, 5] }, 5],
] as const)('half of %j lies below its middle', (distribution, middle) => {
  expect(distributionQuantile(distribution, 5, 0.5)).toBeCloseTo(middle, 9)
})

describe('how many more weighings settle it', () => {
  const tests = (sd: number) => [0.27 - sd, 0.27, 0.27 + sd]

  test('none where the interval is clear of the even yield already', () => {
    expect(testsToSettle(tests(0.005), 0.3, 0.2)).toBe(0)
  })

  test('some where it is not, more the nearer it is', () => {
    const near = testsToSettle(tests(0.02), 0.3, 0.26) as number
    const far = testsToSettle(tests(0.02), 0.3, 0.25) as number
    expect(near).toBeGreaterThan(far)
    expect(far).toBeGreaterThan(0)
  })

  test('and no number where they are the same', () => {
    expect(testsToSettle(tests(0.02), 0.3, 0.27)).toBeNull()
  })

  test('before three tests it goes by what is assumed', () => {
    expect(testsToSettle([], 0.27, 0.2)).toBe(3)
    expect(testsToSettle([0.4], 0.27, 0.2)).toBe(2)
  })
})

test('every figure of a forecast opens to what the draws say', () => {
  const model = forecastModel(sixChickens(), 0) as ForecastModel
  const spreads = spreadsFrom(model, {
    yields: [0.25, 0.26, 0.27],
    minutesPerUnit: [8, 9, 10],
    apPrices: [],
    offerPrices: [],
  })
  const forecast = forecastOf(model, spreads, drawSavings(model, spreads, { draws: 2000, seed: 0.5 }))
  for (const figure of ['probability', 'mean', 'low', 'high'] satisfies ForecastFigure[]) {
    expect(evaluate(forecastFigure(forecast, figure).expression)).toBeCloseTo(forecast[figure], 9)
  }
})
