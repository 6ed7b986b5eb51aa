import { type Appraisal, appraise } from '../appraisal/index.ts'
import { buyPerPortion, handlingPerPiece, pricePerPiece } from '../comparison/index.ts'
import { labourMinutes } from '../costing/index.ts'
import {
  constant,
  type Explanation,
  type Expression,
  HUNDRED_GRAMS,
  minus,
  over,
  plus,
  type Quantity,
  times,
  value,
} from '../explanation/index.ts'
import { pileWeight, usedShareOf } from '../fabrication/index.ts'
import type { BuyingForm, ReadyForm, WholeForm } from './buying-form.ts'
import { documentOfOrder, offerOfForm, orderOfReady, type Terms } from './form-document.ts'
import { assumedPlate, piecesOnPlate } from './plate.ts'
import type { ProductPlate } from './product-plate.ts'
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
  /** What a plate of each product is here, in pieces; assumed where the kitchen has not said. */
  plates: PlateSaid[]
  /** Each figure worked out, so that orders of different size can stand side by side; null where it does not apply. */
  figures: Record<SideFigure, Explanation | null>
}

export interface PlateSaid {
  pile: string
  pieces: number
  isAssumed: boolean
}

export interface SideBySideRequest extends Terms {
  /** Units of something whole that are cut at once. */
  units: number
  /** What of a portion of a pile is bone, 0 to 1. */
  boneShareOf: (pile: string) => number
  /** What the kitchen serves as a plate of it; null where it has not said. */
  plateOf?: (pile: string) => ProductPlate | null
  /** Portions that are bought ready, so that they stand beside as many as are cut; the units where nothing is said. */
  portionsOf?: (product: string) => number
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
  const served = portioned.map((pile) => platesOfPile(pile, request))
  const plates = plus(...served.map(({ expression }) => expression))
  const perPlate = (title: string, quantity: Quantity, terms: [string, number][], note?: string) =>
    portioned.length === 0
      ? null
      : { title, quantity, expression: over(plus(...terms.map((term) => value(...term, quantity))), plates), note }
  const besides = document.piles.filter((pile) => pile.class !== 'primary')
  return {
    form,
    count: order.pieces,
    plates: served.map(({ said }) => said),
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

/** Plates that the portions of a pile give, and what a plate of them is. */
function platesOfPile(
  { name, weight, portions }: Appraisal['piles'][number],
  { plateOf, boneShareOf }: SideBySideRequest,
): { expression: Expression; said: PlateSaid } {
  const count = portions as number
  const bone = boneShareOf(name)
  const edible = (weight * (1 - bone)) / count
  const statedPlate = plateOf?.(name) ?? null
  const plate = statedPlate ?? assumedPlate(edible)
  const said = { pile: name, pieces: piecesOnPlate(plate, edible), isAssumed: statedPlate === null }
  if (plate.by === 'edible') {
    const meat = times(value(name, weight, 'weight'), minus(constant(1), value('bone', bone, 'share')))
    return { expression: over(meat, value('meat on a plate', plate.grams, 'weight')), said }
  }
  const pieces = value(`${plate.count === 1 ? 'plates' : 'pieces'} of ${name}`, count, 'count')
  return { expression: plate.count === 1 ? pieces : over(pieces, value('on a plate', plate.count, 'count')), said }
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
  const portions = request.portionsOf?.(product) ?? request.units
  const plates = { ...request, product, plates: portions, plateWeight: pieceWeight, lightPlates: 'whole' as const }
  const offer = offerOfForm(form, plates)
  const order = orderOfReady(form, plates)
  if (!offer || !order) return null
  const served = value('can be served', form.usableShare, 'share')
  const perPlate = buyPerPortion(offer, portions)
  const bone = request.boneShareOf(product)
  const edible = pieceWeight * (1 - bone)
  const statedPlate = request.plateOf?.(product) ?? null
  const pieces = piecesOnPlate(statedPlate ?? assumedPlate(edible), edible)
  /** Of a plate, where it is not one piece. */
  const ofPlate = (ofOne: Expression) =>
    pieces === 1 ? ofOne : times(value('pieces on a plate', pieces, 'count'), ofOne)
  return {
    form,
    count: order.pieces,
    plates: [{ pile: product, pieces, isAssumed: statedPlate === null }],
    figures: {
      costPerPlate: {
        title: 'Cost of a plate',
        quantity: 'money',
        expression: ofPlate(
          over(
            plus(
              value('price of a piece', pricePerPiece(offer, portions), 'money'),
              value('handling of it', handlingPerPiece(offer), 'money'),
            ),
            served,
          ),
        ),
        note: `Delivery, packs and the least order are those of ${order.pieces} pieces.`,
      },
      costPer100gEdible: edibleExplanation(
        over(
          value('cost of a piece', perPlate, 'money'),
          times(value('one piece', pieceWeight, 'weight'), minus(constant(1), value('bone', bone, 'share'))),
        ),
      ),
      platesFromOne: {
        title: 'Plates from one piece',
        quantity: 'count',
        expression: pieces === 1 ? served : over(served, value('pieces on a plate', pieces, 'count')),
      },
      minutesPerPlate: {
        title: 'Minutes of handling for a plate',
        quantity: 'minutes',
        expression: ofPlate(over(value('handling of one', form.handlingMinutesPerPiece, 'minutes'), served)),
      },
      byProductsPerPlate: null,
      wastePerPlate: {
        title: 'Rejects for a plate',
        quantity: 'weight',
        expression: ofPlate(over(times(value('one piece', pieceWeight, 'weight'), minus(constant(1), served)), served)),
      },
    },
  }
}
