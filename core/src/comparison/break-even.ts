import { type CostIn, MINUTES_PER_HOUR, ratio } from '../costing/index.ts'
import type { Offer } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { extrasPerPiece, handlingPerPiece, unitsPerPiece } from './buy-price.ts'
import { plateYield } from './plate-weight.ts'
import type { BreakEven } from './results.ts'

export interface BreakEvenInput {
  costs: CostIn
  credit: number
  ap: number
  labourMinutes: number
  offer: Offer
  /** `n`: portions of the pile. */
  portions: number | null
  /** `s`: share of the net cost that the pile carries. */
  costShare: number | null
  /** `t`: what one plate really carries, grams. */
  plateWeight: number
  /** Grams of a bought piece that a plate asks for. */
  boughtWeight: number
  costPerPortion: number | null
  /** `b`: buying one portion of the same weight. */
  buySameWeight: number
}

/** The value where it is finite and zero or more, else null. */
export function reachable(value: number | null): number | null {
  return value !== null && Number.isFinite(value) && value >= 0 ? value : null
}

/** `N* = n·b ÷ s`: the net cost at which making equals buying. Null without portions or share. */
export function netCostAtBreakEven(portions: number | null, buySameWeight: number, costShare: number | null) {
  return portions === null || portions === 0 ? null : ratio(portions * buySameWeight, costShare)
}

/** All six turning points in closed form. */
export function breakEven(input: BreakEvenInput): BreakEven {
  const { costs, credit, ap, costShare, buySameWeight } = input
  const net = costs.in - credit
  const netAtEven = netCostAtBreakEven(input.portions, buySameWeight, costShare)
  const given = (value: (netAtEven: number) => number | null) =>
    netAtEven === null ? null : reachable(value(netAtEven))
  const portions = costShare === null ? null : reachable(ratio(costShare * net, buySameWeight))
  return {
    apPricePerKg: given((n) => ((n - costs.labour - costs.consumables + credit) / ap) * GRAMS_PER_KILOGRAM),
    offerAmount: reachable(offerAmount(input)),
    portions,
    pileYield: plateYield(portions, input.plateWeight, ap),
    labourMinutes: given((n) => labourMinutesAt(n, input)),
    creditMultiple: given((n) => (credit > 0 ? (costs.in - n) / credit : null)),
  }
}

/** The amount, in the offer's unit, that makes buying the same weight cost what making costs. */
function offerAmount({ costPerPortion, plateWeight, boughtWeight, offer, portions }: BreakEvenInput): number | null {
  if (costPerPortion === null) return null
  const perPortion = (costPerPortion * boughtWeight) / plateWeight
  const perPiece = perPortion * (offer.usableShare ?? 1) - handlingPerPiece(offer)
  return (perPiece - extrasPerPiece(offer, portions)) / unitsPerPiece(offer)
}

function labourMinutesAt(netAtEven: number, { costs, credit, labourMinutes }: BreakEvenInput): number | null {
  const ratePerMinute = ratio(costs.labour, labourMinutes)
  return ratio(netAtEven - costs.ap - costs.consumables + credit, ratePerMinute)
}

/** The average rate of all labour, money an hour; null without labour. */
export function averageRatePerHour(labour: number, minutes: number): number | null {
  const perMinute = ratio(labour, minutes)
  return perMinute === null ? null : perMinute * MINUTES_PER_HOUR
}
