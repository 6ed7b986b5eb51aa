import type { FabricationDocument } from '@fleam/core/fabrication'
import type { ForecastModel, Spreads } from '@fleam/core/forecasting'
import { randomGamma, randomLcg, randomNormal } from 'd3-random'
import { builtCore } from './built-core.ts'
import { report, timePaired } from './report.ts'

const DRAWS = 100_000
const SEED = 0.42
const ROUNDS = 20

const DOCUMENT: FabricationDocument = {
  format: 'fleam/fabrication',
  version: 1,
  currency: 'EUR',
  item: 'Chicken',
  style: 'supremes',
  purchase: { price: { amount: 3.1, per: 'kg' }, invoiceWeight: 12_600, extras: 3 },
  labour: [{ task: 'break down', minutes: 54, ratePerHour: 21.4 }],
  piles: [
    { name: 'supremes', class: 'primary', weight: 3400, portions: 12, target: 280, valuePerKg: 13.2 },
    { name: 'bones', class: 'by-product', weight: 3900, valuePerKg: 1.3 },
  ],
  creditPolicy: 'used',
  allocation: 'value',
  offers: [
    {
      name: 'ready',
      pile: 'supremes',
      price: { amount: 76, per: 'case' },
      pieces: 20,
      pieceWeight: 280,
      usableShare: 0.97,
    },
  ],
}

const SPREADS: Spreads = {
  yield: { kind: 't', scale: 0.005, degrees: 6 },
  minutes: { kind: 't', scale: 4, degrees: 6 },
  credit: { kind: 'normal', sd: 0.1 },
  apPricePerKg: { kind: 'normal', sd: 0.2 },
  offerAmount: { kind: 'normal', sd: 2 },
  usableShare: { kind: 'normal', sd: 0.01 },
}

/** The same draws by hand in one loop over a typed array: no model, no names, every number where it is needed. */
function plainLoop({ centre, ...model }: ForecastModel): Float64Array {
  const random = randomLcg(SEED)
  const normal = randomNormal.source(random)
  const gamma = (shape: number, scale: number) => randomGamma.source(random)(shape, scale)
  const [yieldNormal, yieldGamma] = [normal(0, 1), gamma(3, 2)]
  const [minutesNormal, minutesGamma] = [normal(0, 1), gamma(3, 2)]
  const [credit, price] = [normal(centre.credit, 0.1), normal(centre.apPricePerKg, 0.2)]
  const [offer, usable] = [normal(centre.offerAmount, 2), normal(centre.usableShare, 0.01)]
  const { unitsPerPiece, extrasPerPiece, handling, perPortion } = model.offer
  const savings = new Float64Array(DRAWS)
  for (let at = 0; at < DRAWS; at++) {
    const share = Math.min(1, Math.max(0.005, centre.yield + (0.005 * yieldNormal()) / Math.sqrt(yieldGamma() / 6)))
    const minutes = Math.max(0, centre.minutes + (4 * minutesNormal()) / Math.sqrt(minutesGamma() / 6))
    const real = Math.max(0, credit())
    const perKg = Math.max(0, price())
    const amount = Math.max(0, offer())
    const served = Math.min(1, Math.max(0.01, usable()))
    const net = (perKg * model.ap) / 1000 + (minutes / 60) * model.ratePerHour + model.consumables - real * model.credit
    const buy = ((amount * unitsPerPiece + extrasPerPiece + handling) / served) * perPortion
    savings[at] = buy - (model.costShare * net) / ((model.portions * share) / centre.yield)
  }
  return savings
}

/** A hundred thousand draws over six uncertain inputs, beside the same draws in a plain loop. */
export async function benchForecast(): Promise<void> {
  const { ForecastRun, forecastModel } = await builtCore('forecasting')
  const model = forecastModel(DOCUMENT, 0) as ForecastModel
  const ours = () => {
    const run = new ForecastRun(model, SPREADS, { draws: DRAWS, seed: SEED })
    run.step(DRAWS)
    return run.savings
  }
  const [mine, plain] = [ours(), plainLoop(model)]
  const differs = mine.findIndex((saving, index) => Math.abs(saving - (plain[index] as number)) > 1e-9)
  if (differs >= 0) throw new Error(`Draw ${differs} is another one in the plain loop`)
  const paired = timePaired(ours, () => plainLoop(model), ROUNDS)
  const milliseconds = (microseconds: number) => (microseconds / 1000).toFixed(1)
  report(
    `forecast, ${DRAWS.toLocaleString('en')} draws, six inputs, p50`,
    `${milliseconds(paired.ours)} ms`,
    `plain loop ${milliseconds(paired.baseline)} ms`,
    paired.ratio,
    'under 300 ms, within 1.5 times',
  )
}
