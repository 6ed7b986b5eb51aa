import type { ScaleState } from '@fleam/contract/scale/scale-line'

/** How a simulated bench scale behaves. Weights in grams, times in milliseconds. */
export interface BenchScaleOptions {
  /** Display step: what it shows is a multiple of this. */
  step: number
  /** Above this it shows `over`. */
  capacity: number
  /** The time in which two thirds of a change of load have arrived. */
  settling: number
  /** It is called stable when what it measures has stayed within half a step for this long. */
  steadyFor: number
  /** Zero creeps by up to this much a minute, as warm electronics do. */
  driftPerMinute: number
  /** Shaking that is added while the load moves, as a share of the change. */
  ringing: number
}

export const KITCHEN_BENCH_SCALE: BenchScaleOptions = {
  step: 1,
  capacity: 15_000,
  settling: 70,
  steadyFor: 250,
  driftPerMinute: 0.1,
  ringing: 0.08,
}

/** For tests of what follows a weighing: it moves and comes to rest within a few ticks. */
export const QUICK_BENCH_SCALE: BenchScaleOptions = { ...KITCHEN_BENCH_SCALE, settling: 8, steadyFor: 60 }

const UNDER_GRAMS = -20
const RINGING_PERIOD_MS = 160

/** A bench scale as a model: a load goes on, the display follows, rings, settles, and creeps a little. */
export class BenchScale {
  readonly #options: BenchScaleOptions
  readonly #random: () => number
  #load = 0
  #from = 0
  #changedAt = 0
  #tare = 0
  #drift = 0
  #lastAt = 0
  #steadySince = 0
  #steadyValue = 0

  /** `random` gives numbers from 0 up to 1. */
  constructor(options: BenchScaleOptions, random: () => number) {
    this.#options = options
    this.#random = random
  }

  /** Puts a load on the plate in place of what lay there; 0 lifts it off. */
  put(grams: number, nowMs: number): void {
    this.#from = this.#measured(nowMs)
    this.#load = grams
    this.#changedAt = nowMs
  }

  tare(nowMs: number): void {
    this.#tare = Math.max(0, this.#stepped(this.#measured(nowMs)))
  }

  zero(nowMs: number): void {
    this.#tare = 0
    this.#drift = 0
    if (this.#load === 0) this.#from = 0
    this.#changedAt = Math.min(this.#changedAt, nowMs)
  }

  /** What the display shows now. Call it at every tick: drift and settling follow the clock given. */
  read(nowMs: number): { weight: number; state: ScaleState; tare: number } {
    this.#creep(nowMs)
    const measured = this.#measured(nowMs)
    if (Math.abs(measured - this.#steadyValue) > this.#options.step / 2) {
      this.#steadyValue = measured
      this.#steadySince = nowMs
    }
    // Within half a step of where it settled, the display holds still instead of flickering.
    const shown = this.#stepped(this.#steadyValue) - this.#tare
    return { weight: shown, state: this.#state(measured, nowMs), tare: this.#tare }
  }

  #state(measured: number, nowMs: number): ScaleState {
    if (measured > this.#options.capacity) return 'over'
    if (measured < UNDER_GRAMS) return 'under'
    return nowMs - this.#steadySince >= this.#options.steadyFor ? 'stable' : 'moving'
  }

  #measured(nowMs: number): number {
    const { settling, ringing } = this.#options
    const since = nowMs - this.#changedAt
    const change = this.#load - this.#from
    const left = Math.exp(-since / settling)
    const shake = ringing * Math.sin((2 * Math.PI * since) / RINGING_PERIOD_MS)
    return this.#load - change * left * (1 - shake) + this.#drift
  }

  #creep(nowMs: number): void {
    const minutes = Math.max(0, nowMs - this.#lastAt) / 60_000
    this.#lastAt = nowMs
    // A scale that lies empty finds its zero again by itself.
    if (this.#load === 0) this.#drift *= 0.5
    else this.#drift += (this.#random() * 2 - 1) * this.#options.driftPerMinute * Math.min(minutes, 1)
  }

  #stepped(grams: number): number {
    return Math.round(grams / this.#options.step) * this.#options.step
  }
}
