import type { Appraisal } from '../appraisal/index.ts'
import {
  averageRatePerHour,
  type Comparison,
  handlingPerPiece,
  orderedPieces,
  servedOfBought,
  unitsPerPiece,
} from '../comparison/index.ts'
import {
  allocate,
  creditByPolicy,
  invoicePrice,
  labourMinutes,
  MINUTES_PER_HOUR,
  type PileResult,
  purchasedUnits,
  servedPieces,
} from '../costing/index.ts'
import type { CreditPolicy, FabricationDocument, Offer, Pile } from '../fabrication/index.ts'
import { isByWeight, priceUnits } from './cost-figures.ts'
import { constant, type Expression, KILO, minus, over, plus, times, value } from './expression.ts'
import type { ComparisonFigureName, Explanation, FigureRef } from './figure-ref.ts'

interface ComparisonContext {
  document: FabricationDocument
  appraisal: Appraisal
  comparison: Comparison
  offer: Offer
  pile: Pile
  result: PileResult
  /** Grams that one plate carries, and that one bought piece gives a plate. */
  plateWeight: number
  boughtWeight: number
  /** Share of the net cost that the pile carries. */
  share: number
}

const money = (name: string, amount: number) => value(name, amount, 'money')
const grams = (name: string, amount: number) => value(name, amount, 'weight')

const OF_OFFER: ReadonlySet<ComparisonFigureName> = new Set([
  'pricePerPiece',
  'buyPerPortion',
  'buyPerPortionSameWeight',
])

/** The formula of a figure of making against buying; null where nothing is compared with. */
export function comparisonFigure(
  document: FabricationDocument,
  appraisal: Appraisal,
  ref: Extract<FigureRef, { group: 'comparison' | 'policy' }>,
): Explanation | null {
  const comparison = appraisal.comparisons[ref.at]
  const offer = document.offers?.[ref.at]
  const at = document.piles.findIndex((pile) => pile.name === offer?.pile)
  const pile = document.piles[at]
  const result = appraisal.piles[at]
  if (!comparison || !offer || !pile || !result) return null
  const pileWeights = appraisal.piles.map((pile) => pile.weight)
  const portions = appraisal.piles.map((pile) => pile.portions)
  const share = allocate(document.piles, pileWeights, portions, document.allocation).shares[at]
  // What an offer costs stands before anything is weighed; only what rests on our cost needs its share.
  const isOfOffer = ref.group === 'comparison' && OF_OFFER.has(ref.figure)
  if (share == null && !isOfOffer) return null
  const plateWeight = comparison.plateWeight ?? 0
  const boughtWeight = servedOfBought(offer, pile.target)
  const context = { document, appraisal, comparison, offer, pile, result, plateWeight, boughtWeight, share: share ?? 0 }
  if (ref.group === 'policy') return policyExplanation(context, ref.policy)
  return figureOf(context, ref.figure) === null ? null : FIGURES[ref.figure](context)
}

function figureOf({ comparison, document }: ComparisonContext, figure: ComparisonFigureName): number | null {
  switch (figure) {
    case 'offerAmount':
    case 'pileYield':
    case 'labourMinutes':
    case 'creditMultiple':
      return comparison.breakEven[figure]
    case 'breakEvenPortions':
      return comparison.breakEven.portions
    case 'invoicePrice':
      return invoicePrice(document.purchase, comparison.breakEven.apPricePerKg)?.price.amount ?? null
    case 'plateYieldNow':
      return comparison.plateWeight
    default:
      return comparison[figure]
  }
}

const same = ({ comparison }: ComparisonContext) =>
  money('buying, same weight', comparison.buyPerPortionSameWeight ?? 0)
const make = ({ comparison }: ComparisonContext) => money('making', comparison.costPerPortion ?? 0)
const costShare = ({ share }: ComparisonContext) => value('share of the net cost', share, 'share')
/** `N* = n·b ÷ s`, the net cost at which making equals buying. */
const evenNet = (context: ComparisonContext) =>
  over(times(value('portions', context.result.portions ?? 0, 'count'), same(context)), costShare(context))

const FIGURES: Record<ComparisonFigureName, (context: ComparisonContext) => Explanation> = {
  plateWeight: ({ pile, result }) => ({
    title: 'What one plate carries',
    quantity: 'weight',
    expression: over(carried(pile, result), value('portions', result.portions ?? 0, 'count')),
    note: 'What a portion weighs over its target is given away, and not compared.',
  }),
  plateYieldNow: ({ appraisal, result, plateWeight }) => ({
    title: 'Yield on the plates',
    quantity: 'share',
    expression: over(
      times(value('portions', result.portions ?? 0, 'count'), grams('our plate carries', plateWeight)),
      grams('invoice weight', appraisal.weights.ap),
    ),
    note: 'Of what was paid for, what the plates really carry.',
  }),
  pricePerPiece: ({ offer, result }) => ({
    title: 'Price of one bought piece',
    quantity: 'money',
    expression: plus(
      times(money(`price per ${offer.price.per}`, offer.price.amount), pieceUnits(offer)),
      chargesPerPiece(offer, result),
    ),
    note: 'Charges come once an order: the whole cases that as many plates as were made take.',
  }),
  buyPerPortion: ({ offer, comparison }) => ({
    title: 'One bought portion, as offered',
    quantity: 'money',
    expression: over(
      plus(money('price per piece', comparison.pricePerPiece), money('handling', handlingPerPiece(offer))),
      value('share that can be served', offer.usableShare ?? 1, 'share'),
    ),
    note: 'Rejects are paid for and handled too.',
  }),
  buyPerPortionSameWeight: ({ comparison, plateWeight, boughtWeight }) => ({
    title: 'One bought portion, at our weight',
    quantity: 'money',
    expression: times(
      money('bought portion', comparison.buyPerPortion),
      over(grams('our plate carries', plateWeight), grams('theirs carries', boughtWeight)),
    ),
    note: 'This is what is compared. What lies over the target is given away on both sides.',
  }),
  saving: (context) => ({
    title: 'Saved on each portion',
    quantity: 'money',
    expression: minus(same(context), make(context)),
  }),
  savingShare: (context) => ({
    title: 'Saved, as a share of buying',
    quantity: 'share',
    expression: over(money('saving', context.comparison.saving ?? 0), same(context)),
  }),
  invoicePrice: (context) => {
    const { cost, weights } = context.appraisal
    const { purchase } = context.document
    const { per } = purchase.price
    const goods = minus(
      plus(evenNet(context), money('by-products', cost.credit)),
      money('labour', cost.labour),
      money('consumables', cost.consumables),
      money('charges', purchase.extras ?? 0),
    )
    const note = 'As the invoice has it, charges beside it; all else as it is.'
    return isByWeight(per)
      ? {
          title: 'Purchase price at which it turns',
          quantity: 'money-per-kg',
          expression: times(over(goods, grams('invoice weight', weights.ap)), KILO),
          note,
        }
      : {
          title: `Purchase price at which it turns, per ${per}`,
          quantity: 'money',
          expression: over(goods, value(`${per}s`, purchasedUnits(purchase), 'count')),
          note,
        }
  },
  offerAmount: ({ offer, result, comparison, plateWeight, boughtWeight }) => ({
    title: `Offer at which it turns, per ${offer.price.per}`,
    quantity: 'money',
    expression: over(
      minus(
        times(
          money('making', comparison.costPerPortion ?? 0),
          over(grams('theirs carries', boughtWeight), grams('our plate carries', plateWeight)),
          value('share that can be served', offer.usableShare ?? 1, 'share'),
        ),
        money('handling', handlingPerPiece(offer)),
        chargesPerPiece(offer, result),
      ),
      pieceUnits(offer),
    ),
  }),
  breakEvenPortions: (context) => ({
    title: 'Portions at which it turns',
    quantity: 'count',
    expression: evenPortions(context),
    note: 'From the same purchase.',
  }),
  pileYield: (context) => ({
    title: 'Yield at which it turns',
    quantity: 'share',
    expression: over(
      times(
        value('portions at which it turns', context.comparison.breakEven.portions ?? 0, 'count'),
        grams('our plate carries', context.plateWeight),
      ),
      grams('invoice weight', context.appraisal.weights.ap),
    ),
  }),
  labourMinutes: (context) => {
    const { cost } = context.appraisal
    const minutes = labourMinutes(context.document.labour)
    return {
      title: 'Minutes at which it turns',
      quantity: 'minutes',
      expression: times(
        over(
          minus(
            plus(evenNet(context), money('by-products', cost.credit)),
            money('purchase', cost.ap),
            money('consumables', cost.consumables),
          ),
          value('average wage', averageRatePerHour(cost.labour, minutes) ?? 0, 'money-per-hour'),
        ),
        constant(MINUTES_PER_HOUR),
      ),
    }
  },
  creditMultiple: (context) => ({
    title: 'Share of the by-products that must be real',
    quantity: 'share',
    expression: over(
      minus(money('spent in all', context.appraisal.cost.in), evenNet(context)),
      money('by-products', context.appraisal.cost.credit),
    ),
    note: 'Above 100 % the by-products would have to bring more than they do.',
  }),
}

const chargesPerPiece = (offer: Offer, { portions }: PileResult) =>
  over(money('charges', offer.extras ?? 0), value('pieces of the order', orderedPieces(offer, portions), 'count'))

/** Grams on all plates up to the target. */
function carried(pile: Pile, { weight, portions }: PileResult): Expression {
  const target = pile.target ?? null
  if (!pile.pieces) {
    const isCut = target !== null && portions !== null && weight > target * portions
    return isCut ? times(grams('target', target), value('portions', portions, 'count')) : grams('weight', weight)
  }
  const served = servedPieces(pile)
  const over = served.reduce((sum, piece) => sum + (target === null ? 0 : Math.max(0, piece - target)), 0)
  const all = grams(
    'pieces served',
    served.reduce((sum, piece) => sum + piece, 0),
  )
  return over === 0 ? all : minus(all, grams('over the target', over))
}

function pieceUnits(offer: Offer): Expression {
  const { per } = offer.price
  if (isByWeight(per)) return priceUnits(grams('their portion', offer.pieceWeight), per)
  if (per === 'piece') return constant(1)
  return over(constant(1), value(`pieces in the ${per}`, 1 / unitsPerPiece(offer), 'count'))
}

const evenPortions = (context: ComparisonContext) =>
  over(times(costShare(context), money('net cost', context.appraisal.cost.net)), same(context))

function policyExplanation(context: ComparisonContext, policy: CreditPolicy): Explanation | null {
  const { comparison, appraisal, document, result } = context
  if (comparison.byPolicy[policy].costPerPortion === null) return null
  const credits = creditByPolicy(
    document.piles,
    appraisal.piles.map((pile) => pile.weight),
  )
  const net = minus(money('spent in all', appraisal.cost.in), money('by-products under this policy', credits[policy]))
  return {
    title: 'One portion under this policy',
    quantity: 'money',
    expression: over(times(costShare(context), net), value('portions', result.portions ?? 0, 'count')),
  }
}
