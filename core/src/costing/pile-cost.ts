import type { CreditPolicy, Pile } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { creditOf } from './credit.ts'
import type { PieceStatistics } from './portions.ts'
import type { PileResult } from './results.ts'

/** `a ÷ b`, or null where either is missing or `b` is zero. */
export function ratio(a: number | null, b: number | null): number | null {
  return a === null || b === null || b === 0 ? null : a / b
}

export interface PileCostInput {
  pile: Pile
  weight: number
  ap: number
  portions: number | null
  /** Null for a pile weighed whole. */
  statistics: PieceStatistics | null
  /** Share of the net cost, see `allocate`. */
  costShare: number | null
  netCost: number
  apPricePerKg: number
}

/** Cost, portions, spread and re-pricing factors of one primary pile. */
export function primaryPileResult(input: PileCostInput): PileResult {
  const { pile, weight, portions, costShare } = input
  const cost = costShare === null ? null : costShare * input.netCost
  const costPerKg = ratio(cost, weight / GRAMS_PER_KILOGRAM)
  const costPerPortion = ratio(cost, portions)
  const statistics = input.statistics ?? NOT_PIECES
  // Written out field by field: copying objects here made appraising five times slower.
  return {
    name: pile.name,
    class: pile.class,
    weight,
    share: weight / input.ap,
    credit: null,
    cost,
    costPerKg,
    portions,
    costPerPortion,
    below: statistics.below,
    within: statistics.within,
    above: statistics.above,
    mean: statistics.mean,
    sd: statistics.sd,
    overweight: statistics.overweight,
    givenAway: givenAway(statistics.overweight, costPerKg),
    factorPerKg: ratio(costPerKg, input.apPricePerKg),
    factorPerPortion: ratio(costPerPortion, input.apPricePerKg),
  }
}

const NOT_PIECES = { below: null, within: null, above: null, mean: null, sd: null, overweight: null }

function givenAway(overweight: number | null, costPerKg: number | null): number | null {
  return overweight === null || costPerKg === null ? null : (overweight / GRAMS_PER_KILOGRAM) * costPerKg
}

/** What a by-product or waste pile weighs and gives back. */
export function otherPileResult(pile: Pile, weight: number, ap: number, policy: CreditPolicy): PileResult {
  return {
    name: pile.name,
    class: pile.class,
    weight,
    share: weight / ap,
    credit: creditOf(pile, weight, policy),
    cost: null,
    costPerKg: null,
    portions: null,
    costPerPortion: null,
    below: null,
    within: null,
    above: null,
    mean: null,
    sd: null,
    overweight: null,
    givenAway: null,
    factorPerKg: null,
    factorPerPortion: null,
  }
}
