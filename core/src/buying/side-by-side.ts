import { type Appraisal, appraise } from '../appraisal/index.ts'
import { buyPerPortion, handlingPerPiece, pricePerPiece } from '../comparison/index.ts'
import { labourMinutes } from '../costing/index.ts'
import {
  constant,
  type Explanation,
  HUNDRED_GRAMS,
  minus,
  over,
  plus,
  type Quantity,
  times,
  value,
} from '../explanation/index.ts'
import { pileWeight, usedShareOf } from '../fabrication/index.ts'
import type { BuyingForm, ReadyForm, WholeForm } from './form.ts'
import { documentOfOrder, offerOfForm, orderOfReady, type Terms } from './form-document.ts'
import { orderFor, pieceWeightOf } from './quote.ts'

export const SIDE_FIGURES = [
  'costPerPlate',
  'costPer100gEdible',
  'platesFromOne',
  'minutesPerPlate',
  'byProductsPerPlate',
  'wastePerPlate',
] as const
export type SideFigure = (typeof SIDE_FIGURES)[number]

export interface SideBySide {
  form: BuyingForm
  /** Units cut, or pieces bought ready. */
  count: number
  /** Each figure worked out, so that orders of different size can stand side by side; null where it does not apply. */
  figures: Record<SideFigure, Explanation | null>
}

export interface SideBySideRequest extends Terms {
  /** Units of something whole that are cut at once. */
  units: number
  /** What of a portion of a pile is bone, 0 to 1. */
  boneShareOf: (pile: string) => number
}

/** One form on the axes on which styles are compared; null where its quote does not say how much one buys. */
export const sideOf = (form: BuyingForm, request: SideBySideRequest, product: string): SideBySide | null =>
  form.kind === 'whole' ? wholeSide(form, request) : readySide(form, request, product)

function wholeSide(form: WholeForm, request: SideBySideRequest): SideBySide | null {
  const order = orderFor(form.quote, request.units, form.unitWeight)
  if (!order) return null
  const document = documentOfOrder(form, order, request)
  const appraisal = appraise(document)
  const portioned = appraisal.piles.filter((pile) => pile.cost !== null && (pile.portions ?? 0) > 0)
  const plates = plus(...portioned.map((pile) => value(`plates of ${pile.name}`, pile.portions as number, 'count')))
  const perPlate = (title: string, quantity: Quantity, terms: [string, number][], note?: string) =>
    portioned.length === 0
      ? null
      : { title, quantity, expression: over(plus(...terms.map((term) => value(...term, quantity))), plates), note }
  const besides = document.piles.filter((pile) => pile.class !== 'primary')
  return {
    form,
    count: order.pieces,
    figures: {
      costPerPlate: perPlate(
        'Cost of a plate',
        'money',
        portioned.map((pile) => [`cost of ${pile.name}`, pile.cost as number]),
        'All portioned piles together: plates of different styles are not of one weight.',
      ),
      costPer100gEdible: edibleCost(appraisal, request),
      platesFromOne:
        portioned.length === 0
          ? null
          : {
              title: 'Plates from one',
              quantity: 'count',
              expression: over(plates, value('bought', order.pieces, 'count')),
            },
      minutesPerPlate: perPlate('Minutes for a plate', 'minutes', [['break down', labourMinutes(document.labour)]]),
      byProductsPerPlate: perPlate(
        'By-products that are used, for a plate',
        'weight',
        besides
          .filter((pile) => pile.class === 'by-product')
          .map((pile) => [pile.name, pileWeight(pile) * usedShareOf(pile)]),
      ),
      wastePerPlate: perPlate('Waste and what is lost, for a plate', 'weight', [
        ...besides
          .map((pile): [string, number] => [pile.name, pileWeight(pile) * (1 - usedShareOf(pile))])
          .filter(([, grams]) => grams > 0),
        ['drip and the like', Math.max(0, appraisal.weights.unaccounted)],
      ]),
    },
  }
}

function edibleCost({ piles }: Appraisal, { boneShareOf }: SideBySideRequest): Explanation | null {
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
  title: 'Edible weight, raw',
  quantity: 'money-per-100g',
  expression: times(perGram, HUNDRED_GRAMS),
  note: 'Bones on a portion are taken off it at the share assumed of them.',
})

function readySide(form: ReadyForm, request: SideBySideRequest, product: string): SideBySide | null {
  const pieceWeight = pieceWeightOf(form.quote)
  if (pieceWeight === null) return null
  const plates = { ...request, product, plates: request.units, plateWeight: pieceWeight }
  const offer = offerOfForm(form, plates)
  const order = orderOfReady(form, plates)
  if (!offer || !order) return null
  const served = value('can be served', form.usableShare, 'share')
  const perPlate = buyPerPortion(offer)
  const bone = request.boneShareOf(product)
  return {
    form,
    count: order.pieces,
    figures: {
      costPerPlate: {
        title: 'Cost of a plate',
        quantity: 'money',
        expression: over(
          plus(
            value('price of a piece', pricePerPiece(offer), 'money'),
            value('handling of it', handlingPerPiece(offer), 'money'),
          ),
          served,
        ),
      },
      costPer100gEdible: edibleExplanation(
        over(
          value('cost of a plate', perPlate, 'money'),
          times(value('one piece', pieceWeight, 'weight'), minus(constant(1), value('bone', bone, 'share'))),
        ),
      ),
      platesFromOne: { title: 'Plates from one piece', quantity: 'count', expression: served },
      minutesPerPlate: {
        title: 'Minutes of handling for a plate',
        quantity: 'minutes',
        expression: over(value('handling of one', form.handlingMinutesPerPiece, 'minutes'), served),
      },
      byProductsPerPlate: null,
      wastePerPlate: {
        title: 'Rejects for a plate',
        quantity: 'weight',
        expression: over(times(value('one piece', pieceWeight, 'weight'), minus(constant(1), served)), served),
      },
    },
  }
}
