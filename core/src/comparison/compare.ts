import { type CostIn, type PileResult, ratio } from '../costing/index.ts'
import type { CreditPolicy, Offer, Pile } from '../fabrication/index.ts'
import { breakEven } from './break-even.ts'
import { buyPerPortion, pricePerPiece } from './buy-price.ts'
import { plateWeight, servedOfBought } from './plate-weight.ts'
import type { BreakEven, Comparison, PolicyVerdict, Verdict } from './results.ts'

export interface ComparisonInput {
  offer: Offer
  pile: Pile
  result: PileResult
  costShare: number | null
  costs: CostIn
  credit: number
  /** Σ credit under each policy. */
  credits: Record<CreditPolicy, number>
  ap: number
  labourMinutes: number
  /** Within this share of the price, making and buying are even. */
  evenBand: number
  /** False where the balance is over and nobody has confirmed it. */
  mayJudge: boolean
}

const NO_BREAK_EVEN: BreakEven = {
  apPricePerKg: null,
  offerAmount: null,
  portions: null,
  pileYield: null,
  labourMinutes: null,
  creditMultiple: null,
}

/** `make` where it saves more than the band, `buy` where it costs more than the band, else `even`. */
export function verdictOf(saving: number, buySameWeight: number, band: number): Verdict {
  if (saving > band * buySameWeight) return 'make'
  return saving < -band * buySameWeight ? 'buy' : 'even'
}

/** One offer against its primary pile: price at the same weight, verdict, all policies, all turning points. */
export function compare(input: ComparisonInput): Comparison {
  const { offer, pile, result, costs, credits } = input
  const carried = plateWeight(pile, result)
  const bought = servedOfBought(offer, pile.target)
  const perPortion = buyPerPortion(offer, result.portions)
  const sameWeight = carried === null ? null : (perPortion * carried) / bought
  const now = judge(result.costPerPortion, sameWeight, input)
  const under = (policy: CreditPolicy): PolicyVerdict => {
    const cost = input.costShare === null ? null : input.costShare * (costs.in - credits[policy])
    return judge(ratio(cost, result.portions), sameWeight, input)
  }
  return {
    offer: offer.name,
    pile: offer.pile,
    plateWeight: carried,
    pricePerPiece: pricePerPiece(offer, result.portions),
    buyPerPortion: perPortion,
    buyPerPortionSameWeight: sameWeight,
    costPerPortion: now.costPerPortion,
    saving: now.saving,
    savingShare: ratio(now.saving, sameWeight),
    verdict: now.verdict,
    byPolicy: { none: under('none'), book: under('book'), used: under('used'), net: under('net') },
    breakEven:
      carried === null || sameWeight === null
        ? NO_BREAK_EVEN
        : breakEven({
            costs,
            credit: input.credit,
            ap: input.ap,
            labourMinutes: input.labourMinutes,
            offer,
            portions: result.portions,
            costShare: input.costShare,
            plateWeight: carried,
            boughtWeight: bought,
            costPerPortion: result.costPerPortion,
            buySameWeight: sameWeight,
          }),
  }
}

/** What a cost per portion says against buying the same weight; no verdict where nothing may be judged. */
function judge(costPerPortion: number | null, sameWeight: number | null, input: ComparisonInput): PolicyVerdict {
  if (costPerPortion === null || sameWeight === null) return { costPerPortion, saving: null, verdict: null }
  const saving = sameWeight - costPerPortion
  return { costPerPortion, saving, verdict: input.mayJudge ? verdictOf(saving, sameWeight, input.evenBand) : null }
}
