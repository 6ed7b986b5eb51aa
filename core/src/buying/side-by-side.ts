import { type Appraisal, appraise } from '../appraisal/index.ts'
import { buyPerPortion } from '../comparison/index.ts'
import { labourMinutes } from '../costing/index.ts'
import { constant, type Explanation, minus, over, plus, times, value } from '../explanation/index.ts'
import { pileWeight, usedShareOf } from '../fabrication/index.ts'
import type { BuyingForm, ReadyForm, WholeForm } from './form.ts'
import { documentOfOrder, offerOfForm, type Terms } from './form-document.ts'
import { orderFor, pieceWeightOf } from './quote.ts'

export type SideFigure = 'costPerPlate' | 'portions' | 'minutes' | 'waste' | 'byProducts' | 'costPer100gEdible'
export const SIDE_FIGURES: readonly SideFigure[] = [
  'costPerPlate',
  'costPer100gEdible',
  'portions',
  'minutes',
  'byProducts',
  'waste',
]

export interface SideBySide {
  form: BuyingForm
  /** Units cut, or pieces bought ready. */
  count: number
  /** Each figure worked out; null where it does not apply. Waste and by-products in grams. */
  figures: Record<SideFigure, Explanation | null>
}

export interface SideBySideWish extends Terms {
  /** Units of something whole that are cut at once. */
  units: number
  /** What of a portion of a pile is bone, 0 to 1. */
  boneShareOf: (pile: string) => number
}

const HUNDRED_GRAMS = 100

/** One form on the axes on which styles are compared; null where its quote does not say how much one buys. */
export const sideOf = (form: BuyingForm, wish: SideBySideWish, product: string): SideBySide | null =>
  form.kind === 'whole' ? wholeSide(form, wish) : readySide(form, wish, product)

function wholeSide(form: WholeForm, wish: SideBySideWish): SideBySide | null {
  const order = orderFor(form.quote, wish.units, form.unitWeight)
  if (!order) return null
  const document = documentOfOrder(form, order, wish)
  const appraisal = appraise(document)
  return {
    form,
    count: order.pieces,
    figures: {
      ...platesOf(appraisal),
      costPer100gEdible: edibleCost(appraisal, wish),
      minutes: total('Minutes at the board', 'minutes', [['break down', labourMinutes(document.labour)]]),
      byProducts: total(
        'By-products that are used',
        'weight',
        document.piles
          .filter((pile) => pile.class === 'by-product')
          .map((pile) => [pile.name, pileWeight(pile) * usedShareOf(pile)]),
      ),
      waste: total('Waste and what is lost', 'weight', [
        ...document.piles
          .filter((pile) => pile.class !== 'primary')
          .map((pile): [string, number] => [pile.name, pileWeight(pile) * (1 - usedShareOf(pile))])
          .filter(([, grams]) => grams > 0),
        ['drip and the like', Math.max(0, appraisal.weights.unaccounted)],
      ]),
    },
  }
}

const total = (title: string, quantity: 'weight' | 'minutes', terms: [string, number][]): Explanation => ({
  title,
  quantity,
  expression: plus(...terms.map(([name, amount]) => value(name, amount, quantity))),
})

/** Plates of all portioned piles together, and what one of them costs. */
function platesOf({ piles }: Appraisal): Pick<SideBySide['figures'], 'costPerPlate' | 'portions'> {
  const portioned = piles.filter((pile) => pile.cost !== null && pile.portions !== null && pile.portions > 0)
  if (portioned.length === 0) return { costPerPlate: null, portions: null }
  const portions = plus(...portioned.map((pile) => value(pile.name, pile.portions as number, 'count')))
  const cost = plus(...portioned.map((pile) => value(`cost of ${pile.name}`, pile.cost as number, 'money')))
  return {
    portions: { title: 'Plates', quantity: 'count', expression: portions },
    costPerPlate: {
      title: 'Cost of a plate',
      quantity: 'money',
      expression: over(cost, portions),
      note: 'All portioned piles together: plates of different styles are not of one weight.',
    },
  }
}

function edibleCost({ piles }: Appraisal, { boneShareOf }: SideBySideWish): Explanation | null {
  const primary = piles.filter((pile) => pile.class === 'primary' && pile.cost !== null && pile.weight > 0)
  if (primary.length === 0) return null
  const cost = plus(...primary.map((pile) => value(`cost of ${pile.name}`, pile.cost as number, 'money')))
  const edible = plus(
    ...primary.map((pile) => {
      const weight = value(pile.name, pile.weight, 'weight')
      const bone = boneShareOf(pile.name)
      return bone === 0 ? weight : times(weight, minus(constant(1), value('bone', bone, 'share')))
    }),
  )
  return edibleExplanation(over(cost, edible))
}

const edibleExplanation = (perGram: Explanation['expression']): Explanation => ({
  title: 'A hundred edible grams, raw',
  quantity: 'money',
  expression: times(perGram, constant(HUNDRED_GRAMS)),
  note: 'Bones on a portion are taken off it at the share assumed of them.',
})

function readySide(form: ReadyForm, wish: SideBySideWish, product: string): SideBySide | null {
  const pieceWeight = pieceWeightOf(form.quote)
  if (pieceWeight === null) return null
  const offer = offerOfForm(form, {
    product,
    plates: wish.units,
    plateWeight: pieceWeight,
    wagePerHour: wish.wagePerHour,
    currency: wish.currency,
  })
  const order = orderFor(form.quote, wish.units / form.usableShare)
  if (!offer || !order) return null
  const pieces = value('pieces bought', order.pieces, 'count')
  const rejects = minus(constant(1), value('can be served', form.usableShare, 'share'))
  const perPlate = buyPerPortion(offer)
  const bone = wish.boneShareOf(product)
  return {
    form,
    count: order.pieces,
    figures: {
      costPerPlate: {
        title: 'Cost of a plate',
        quantity: 'money',
        expression: value('a piece, handled, rejects paid', perPlate, 'money'),
      },
      costPer100gEdible: edibleExplanation(
        over(
          value('cost of a plate', perPlate, 'money'),
          times(value('one piece', pieceWeight, 'weight'), minus(constant(1), value('bone', bone, 'share'))),
        ),
      ),
      portions: {
        title: 'Plates',
        quantity: 'count',
        expression: times(pieces, value('can be served', form.usableShare, 'share')),
      },
      minutes: {
        title: 'Minutes of handling',
        quantity: 'minutes',
        expression: times(pieces, value('handling of one', form.handlingMinutesPerPiece, 'minutes')),
      },
      byProducts: null,
      waste: {
        title: 'Rejects',
        quantity: 'weight',
        expression: times(pieces, value('one piece', pieceWeight, 'weight'), rejects),
      },
    },
  }
}
