import { randomLcg } from 'd3-random'
import { type Distribution, sampler } from './distribution.ts'
import {
  FORECAST_INPUTS,
  type ForecastInput,
  type ForecastModel,
  type InputValues,
  savingAt,
} from './forecast-model.ts'

export type Spreads = Readonly<Record<ForecastInput, Distribution>>

export interface DrawOptions {
  draws: number
  /** Any number from 0 up to but not 1; the same one draws the same. */
  seed: number
}

/** The least that an input may be drawn: nobody gives money to take a bird, and no yield is nothing. */
const MIN: InputValues = { yield: 0.005, minutes: 0, credit: 0, apPricePerKg: 0, offerAmount: 0, usableShare: 0.01 }
/** The most: more than all cannot be used. */
const MAX: Partial<InputValues> = { yield: 1, usableShare: 1 }

/**
 * Draws savings of a portion, one part after the other, so that a worker can tell how far it is and be
 * broken off. Every step fills the next part of `savings`; the whole is the same however it is cut.
 */
export class ForecastRun {
  readonly savings: Float64Array
  readonly #model: ForecastModel
  readonly #samplers: (() => number)[]
  #done = 0

  constructor(model: ForecastModel, spreads: Spreads, { draws, seed }: DrawOptions) {
    const random = randomLcg(seed)
    this.#model = model
    this.savings = new Float64Array(draws)
    this.#samplers = FORECAST_INPUTS.map((input) => sampler(spreads[input], model.centre[input], random))
  }

  get done(): number {
    return this.#done
  }

  get isDone(): boolean {
    return this.#done >= this.savings.length
  }

  /** Draws so many more. */
  step(count: number): void {
    const { savings } = this
    const [drawYield, drawMinutes, drawCredit, drawPrice, drawOffer, drawUsable] = this.#samplers as [
      () => number,
      () => number,
      () => number,
      () => number,
      () => number,
      () => number,
    ]
    const values = { ...this.#model.centre }
    const end = Math.min(savings.length, this.#done + count)
    for (let at = this.#done; at < end; at++) {
      values.yield = clip('yield', drawYield())
      values.minutes = clip('minutes', drawMinutes())
      values.credit = clip('credit', drawCredit())
      values.apPricePerKg = clip('apPricePerKg', drawPrice())
      values.offerAmount = clip('offerAmount', drawOffer())
      values.usableShare = clip('usableShare', drawUsable())
      savings[at] = savingAt(this.#model, values)
    }
    this.#done = end
  }
}

function clip(input: ForecastInput, value: number): number {
  const most = MAX[input]
  if (value < MIN[input]) return MIN[input]
  return most !== undefined && value > most ? most : value
}

/** All draws at once. */
export function drawSavings(model: ForecastModel, spreads: Spreads, options: DrawOptions): Float64Array {
  const run = new ForecastRun(model, spreads, options)
  run.step(options.draws)
  return run.savings
}
