import { compare } from '../comparison/index.ts'
import {
  allocate,
  costIn,
  creditByPolicy,
  labourMinutes,
  otherPileResult,
  type PileResult,
  pieceStatistics,
  portionsOf,
  primaryPileResult,
  shortClaim,
} from '../costing/index.ts'
import { DEFAULT_LIMITS, type FabricationDocument, type Limits, pileWeight, weigh } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { Appraisal } from './appraisal.ts'
import { warningsOf } from './warnings.ts'

/**
 * From weights to verdicts: everything that one fabrication document says, unrounded.
 *
 * The document must be whole (the contract's schema checks it): invoice weight above zero, at least
 * one primary pile, unique pile names, offers that name a primary pile. Weights in grams, money in
 * major units. A figure that does not apply, or that would divide by nothing, is null.
 */
export function appraise(document: FabricationDocument, limits: Limits = DEFAULT_LIMITS): Appraisal {
  const pileWeights = document.piles.map(pileWeight)
  const weights = weigh(document, pileWeights, limits)
  const costs = costIn(document)
  const credits = creditByPolicy(document.piles, pileWeights)
  const credit = credits[document.creditPolicy]
  const net = costs.in - credit
  const apPricePerKg = (costs.ap / weights.ap) * GRAMS_PER_KILOGRAM

  const statistics = document.piles.map((pile, index) =>
    pile.class === 'primary' && pile.pieces ? pieceStatistics(pile, pileWeights[index] as number) : null,
  )
  const portions = document.piles.map((pile, index) =>
    pile.class === 'primary' ? portionsOf(pile, pileWeights[index] as number, statistics[index] ?? null) : null,
  )
  const allocation = allocate(document.piles, pileWeights, portions, document.allocation)
  const piles = document.piles.map((pile, index) => {
    const weight = pileWeights[index] as number
    if (pile.class !== 'primary') return otherPileResult(pile, weight, weights.ap, document.creditPolicy)
    const costShare = allocation.shares[index] ?? null
    return primaryPileResult({
      pile,
      weight,
      ap: weights.ap,
      portions: portions[index] ?? null,
      statistics: statistics[index] ?? null,
      costShare,
      netCost: net,
      apPricePerKg,
    })
  })

  const minutes = labourMinutes(document.labour)
  const mayJudge = weights.balance !== 'over' || document.confirmed === true
  const comparisons = (document.offers ?? []).map((offer) => {
    const at = document.piles.findIndex((pile) => pile.name === offer.pile)
    return compare({
      offer,
      pile: document.piles[at] as FabricationDocument['piles'][number],
      result: piles[at] as PileResult,
      costShare: allocation.shares[at] ?? null,
      costs,
      credit,
      credits,
      ap: weights.ap,
      labourMinutes: minutes,
      evenBand: limits.even,
      mayJudge,
    })
  })

  return {
    weights,
    cost: {
      ap: costs.ap,
      labour: costs.labour,
      consumables: costs.consumables,
      in: costs.in,
      apPricePerKg,
      shortClaim: shortClaim(document.purchase, weights.short),
      credit,
      net,
      allocation: allocation.allocation,
    },
    piles,
    comparisons,
    warnings: warningsOf({ document, weights, piles, allocation, limits }),
  }
}
