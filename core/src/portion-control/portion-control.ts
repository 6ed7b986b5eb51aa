import { boundOf } from '../costing/index.ts'
import type { Pile } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'

export interface WeightBar {
  /** Pieces from so many grams up to, but not, `to`. */
  from: number
  to: number
  count: number
  bound: 'below' | 'within' | 'above'
}

export interface PortionControl {
  bars: WeightBar[]
  /** Share of the pieces within their bounds. */
  capability: number
  /** Money given away above the target by one portion served, on average. */
  givenAwayPerPortion: number | null
  /** The same if every piece were half as far from the target as it is. */
  givenAwayTighter: number | null
}

/** What a week of so many portions gives away, and what of it a tighter hand would save; null where neither is known. */
export function givenAwayAWeek(control: PortionControl, portions: number): { givenAway: number; saved: number } | null {
  const { givenAwayPerPortion: now, givenAwayTighter: tighter } = control
  return now === null || tighter === null ? null : { givenAway: now * portions, saved: (now - tighter) * portions }
}

const MAX_BARS = 24
/** A hand that is twice as steady leaves pieces half as far from the target. */
export const TIGHTER = 0.5

/**
 * Portions served and grams above the target in all, if every piece were `nearness` as far from the target
 * as it is (1: as it is). The pile has a target.
 */
export function portionsAt({ pieces = [], target = 0, low }: Pile, nearness: number): { served: number; over: number } {
  const moved = pieces.map((piece) => target + (piece - target) * nearness)
  const served = moved.filter((piece) => low === undefined || piece >= low)
  return { served: served.length, over: served.reduce((sum, piece) => sum + Math.max(0, piece - target), 0) }
}

/**
 * How the pieces of a pile lie about their target: a histogram that tells too light, right and too heavy
 * apart, the share within bounds, and what is given away. `costPerKg` of the pile, money. Null for a pile
 * without pieces.
 */
export function portionControl(pile: Pile, costPerKg: number | null): PortionControl | null {
  const { pieces = [], target, low = null, high = null } = pile
  if (pieces.length === 0) return null
  const within = pieces.filter((piece) => boundOf(piece, low, high) === 'within').length
  const given = (nearness: number) => {
    if (target === undefined || costPerKg === null) return null
    const { served, over } = portionsAt(pile, nearness)
    return served === 0 ? null : ((over / GRAMS_PER_KILOGRAM) * costPerKg) / served
  }
  return {
    bars: barsOf(pieces, low, high),
    capability: within / pieces.length,
    givenAwayPerPortion: given(1),
    givenAwayTighter: given(TIGHTER),
  }
}

/** Bars of whole, round grams; a bound always falls between two bars where there is room for it. */
function barsOf(pieces: readonly number[], low: number | null, high: number | null): WeightBar[] {
  const least = Math.min(...pieces)
  const most = Math.max(...pieces)
  const step = roundStep((most - least) / Math.min(MAX_BARS, Math.max(4, Math.sqrt(pieces.length) * 2)))
  const origin = low ?? Math.floor(least / step) * step
  const first = origin + Math.floor((least - origin) / step) * step
  const bars: WeightBar[] = []
  for (let from = first; from <= most; from += step) {
    const to = from + step
    const count = pieces.filter((piece) => piece >= from && piece < to).length
    bars.push({ from, to, count, bound: boundOf((from + to) / 2, low, high) })
  }
  return bars
}

const ROUND_STEPS = [1, 2, 5, 10, 20, 25, 50, 100, 200, 500, 1000]
const roundStep = (grams: number) => ROUND_STEPS.find((step) => step >= grams) ?? Math.ceil(grams / 1000) * 1000
