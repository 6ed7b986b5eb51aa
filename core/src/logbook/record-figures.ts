import { type Appraisal, appraise } from '../appraisal/index.ts'
import { leadingComparison } from '../comparison/index.ts'
import { labourMinutes, ratio } from '../costing/index.ts'
import { type Balance, type FabricationDocument, usedShareOf } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'

/** Raised with every change of a formula below: figures kept under another number are made anew. */
export const FIGURES_VERSION = 5

/**
 * Money of a record, or of many: views of the same money, not to be added up. What was given away and what was demoted
 * already lie within what was saved.
 */
export interface RecordMoney {
  /** Net cost. */
  spent: number
  /** What making brought against buying, over the piles that have an offer. */
  saved: number
  /** Cost of what portions weigh above their targets. */
  givenAway: number
  /** Waste at the price paid for it. */
  waste: number
  /** By-products that nobody used, at what they are worth after processing. */
  unused: number
  /** Pieces too light to be portions, at cost above what they fetch as a by-product. */
  demoted: number
  /** Weight that nobody found again, at the price paid for it. */
  unaccounted: number
}

export const MONEY_VIEWS = ['spent', 'saved', 'givenAway', 'waste', 'unused', 'demoted', 'unaccounted'] as const

/** What is kept beside a closed record, so that many can be filtered, sorted and summed. Weights in grams. */
export interface RecordFigures {
  ap: number
  primaryWeight: number
  portionYield: number
  utilisation: number
  balance: Balance
  /** Null where nobody said how many. */
  units: number | null
  /** Null without units, or where nobody measured the work. */
  minutesPerUnit: number | null
  /** Net cost of a portion of the pile that the verdict speaks of first; null without portions or a price. */
  costPerPortion: number | null
  /** What making a portion of it brings against the offer it is compared with; null without. */
  savingPerPortion: number | null
  money: RecordMoney
}

export interface RecordSaid {
  /** What it cost is known. */
  isPriced: boolean
  /** Its minutes were clocked or typed, and not only assumed. */
  isLabourMeasured: boolean
}

const NO_MONEY: RecordMoney = {
  spent: 0,
  saved: 0,
  givenAway: 0,
  waste: 0,
  unused: 0,
  demoted: 0,
  unaccounted: 0,
}

/** The figures of one record. What the document says is appraised; nothing is rounded. */
export function recordFigures(
  document: FabricationDocument,
  { isPriced, isLabourMeasured }: RecordSaid,
  appraisal: Appraisal = appraise(document),
): RecordFigures {
  const { weights, piles } = appraisal
  const units = document.purchase.pieces ?? null
  const minutes = isLabourMeasured ? labourMinutes(document.labour) : 0
  const at = leadingComparison(piles, appraisal.comparisons)
  const leading = at === null ? undefined : appraisal.comparisons[at]
  const cost = leading?.costPerPortion ?? piles.find((pile) => pile.class === 'primary')?.costPerPortion ?? null
  return {
    ap: weights.ap,
    primaryWeight: piles.reduce((sum, pile) => sum + (pile.class === 'primary' ? pile.weight : 0), 0),
    portionYield: weights.portionYield,
    utilisation: weights.utilisation,
    balance: weights.balance,
    units,
    minutesPerUnit: minutes > 0 ? ratio(minutes, units) : null,
    costPerPortion: isPriced ? cost : null,
    savingPerPortion: isPriced ? (leading?.saving ?? null) : null,
    money: isPriced ? moneyOf(document, appraisal) : NO_MONEY,
  }
}

/** The offer that a pile is compared with: the cheapest at equal weight. */
function cheapestOf({ comparisons }: Appraisal, pile: string): Appraisal['comparisons'][number] | null {
  const priceOf = (entry: Appraisal['comparisons'][number]) => entry.buyPerPortionSameWeight ?? Number.POSITIVE_INFINITY
  const ofPile = comparisons.filter((comparison) => comparison.pile === pile)
  return ofPile.reduce<(typeof ofPile)[number] | null>(
    (best, row) => (best === null || priceOf(row) < priceOf(best) ? row : best),
    null,
  )
}

function moneyOf(document: FabricationDocument, appraisal: Appraisal): RecordMoney {
  const { weights, cost, piles } = appraisal
  const kilosOf = (grams: number) => grams / GRAMS_PER_KILOGRAM
  const byProducts = document.piles.flatMap((pile, index) =>
    pile.class === 'by-product' ? [{ pile, weight: piles[index]?.weight ?? 0 }] : [],
  )
  const fetches = Math.max(0, ...byProducts.map(({ pile }) => pile.valuePerKg ?? 0))
  const sumOver = (of: (pile: (typeof piles)[number], at: number) => number) =>
    piles.reduce((sum, pile, at) => sum + of(pile, at), 0)
  return {
    spent: cost.net,
    saved: sumOver((pile) =>
      pile.class === 'primary' ? (cheapestOf(appraisal, pile.name)?.saving ?? 0) * (pile.portions ?? 0) : 0,
    ),
    givenAway: sumOver((pile) => pile.givenAway ?? 0),
    waste: sumOver((pile) => (pile.class === 'waste' ? kilosOf(pile.weight) * cost.apPricePerKg : 0)),
    unused: byProducts.reduce(
      (sum, { pile, weight }) =>
        sum +
        kilosOf(weight) * (1 - usedShareOf(pile)) * Math.max(0, (pile.valuePerKg ?? 0) - (pile.processingPerKg ?? 0)),
      0,
    ),
    demoted: sumOver((pile, at) => {
      const { low, pieces = [] } = document.piles[at] ?? {}
      if (pile.class !== 'primary' || low === undefined || pile.costPerKg === null) return 0
      const tooLight = pieces.reduce((sum, grams) => sum + (grams < low ? grams : 0), 0)
      return kilosOf(tooLight) * Math.max(0, pile.costPerKg - fetches)
    }),
    unaccounted: kilosOf(Math.max(0, weights.unaccounted)) * cost.apPricePerKg,
  }
}
