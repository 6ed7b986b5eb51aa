import type { CreditPolicy, Pile, PileClass } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { creditOf } from './credit.ts'
import { pieceStatistics } from './portions.ts'

/** A figure that does not apply to a pile is null. */
export interface PileResult {
  name: string
  class: PileClass
  weight: number
  share: number
  credit: number | null
  cost: number | null
  costPerKg: number | null
  portions: number | null
  costPerPortion: number | null
  below: number | null
  within: number | null
  above: number | null
  mean: number | null
  sd: number | null
  overweight: number | null
  givenAway: number | null
  factorPerKg: number | null
  factorPerPortion: number | null
}

const NOT_PRIMARY = {
  cost: null,
  costPerKg: null,
  portions: null,
  costPerPortion: null,
  factorPerKg: null,
  factorPerPortion: null,
} as const

const NOT_PIECES = {
  below: null,
  within: null,
  above: null,
  mean: null,
  sd: null,
  overweight: null,
  givenAway: null,
} as const

/** `a ÷ b`, or null where either is missing or `b` is zero. */
export function ratio(a: number | null, b: number | null): number | null {
  return a === null || b === null || b === 0 ? null : a / b
}

export interface PileCostInput {
  pile: Pile
  weight: number
  ap: number
  portions: number | null
  /** Share of the net cost, see `allocate`. */
  costShare: number | null
  netCost: number
  apPricePerKg: number
}

/** Cost, portions, spread and re-pricing factors of one primary pile. */
export function primaryPileResult(input: PileCostInput): PileResult {
  const { pile, weight, portions, costShare } = input
  const cost = costShare === null ? null : costShare * input.netCost
  const perGram = ratio(cost, weight)
  const costPerKg = perGram === null ? null : perGram * GRAMS_PER_KILOGRAM
  const costPerPortion = ratio(cost, portions)
  const statistics = pile.pieces ? pieceStatistics(pile, weight) : null
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
    ...(statistics ? { ...statistics, givenAway: givenAway(statistics.overweight, costPerKg) } : NOT_PIECES),
    factorPerKg: ratio(costPerKg, input.apPricePerKg),
    factorPerPortion: ratio(costPerPortion, input.apPricePerKg),
  }
}

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
    ...NOT_PRIMARY,
    ...NOT_PIECES,
  }
}
