import { type Appraisal, appraise } from '../appraisal/index.ts'
import { buyPerPortion, handlingPerPiece, servedOfBought } from '../comparison/index.ts'
import type { FabricationDocument, Offer } from '../fabrication/index.ts'
import type { Estimate } from '../forecasting/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { BuyingForm, ReadyForm, WholeForm } from './buying-form.ts'
import type { BuyingRequest } from './form.ts'
import {
  documentOfOrder,
  offerOfForm,
  orderForPlates,
  orderOfReady,
  platesFromPiece,
  platesFromUnit,
} from './form-document.ts'
import type { Order } from './quote.ts'

export interface TrueCost {
  form: BuyingForm
  /** What has to be ordered for the plates. */
  order: Order
  /** Plates that the order is expected to give, as a number that need not be whole, and grams that lie on each. */
  expectedPlates: number
  carries: number
  /** Whole plates that the order gives, and how many would be missing with one piece, or one pack, less; zero or more. */
  plates: number
  missingWithOneLess: number
  /** Of something whole: expected portion yield of the product; null for what is bought ready. */
  yield: Estimate | null
  /** Money of the whole order, delivery in. */
  outlay: number
  labour: number
  /** Bags and what else is used up. */
  consumables: number
  /** By-product credit. */
  credit: number
  /** What other portions of the animal carry of it; zero for what is bought ready. */
  carriedByOthers: number
  /** What the product costs in all: outlay, labour and consumables less credit and what others carry. */
  productCost: number
  /** Grams of the product that can be served. */
  servable: number
  /** Cost of a kilo of servable product. */
  costPerKg: number
  /** Cost of one plate: `productCost` over `expectedPlates`. */
  costPerPlate: number
  /** Half the width of the interval of `costPerPlate`; zero for what is bought ready. */
  halfWidth: number
  /** From 1; forms that cannot be told apart share a rank. */
  rank: number
  /** What its figures come from: the same as `appraise` says of it; an offer for so many plates. */
  basis: { document: FabricationDocument; appraisal: Appraisal } | { offer: Offer; plates: number }
}

export interface NotComparable {
  form: BuyingForm
  why: 'size-unknown' | 'product-missing'
}

export interface BuyingComparison {
  /** Cheapest first. */
  ranked: TrueCost[]
  /** Forms whose quote does not say enough, with the reason. */
  left: NotComparable[]
}

/**
 * Every form of one product side by side, by what a plate of it really costs, counted as the order plan counts plates.
 * The figures are those of `appraise` on the order that each form needs: supplier prices are never compared as such.
 */
export function compareForms(forms: readonly BuyingForm[], request: BuyingRequest): BuyingComparison {
  const offers = forms.flatMap((form) => (form.kind === 'ready' ? (offerOfForm(form, request) ?? []) : []))
  const ranked: TrueCost[] = []
  const left: NotComparable[] = []
  for (const form of forms) {
    const cost = form.kind === 'whole' ? wholeCost(form, request, offers) : readyCost(form, request)
    if (typeof cost === 'string') left.push({ form, why: cost })
    else ranked.push(cost)
  }
  ranked.sort((a, b) => a.costPerPlate - b.costPerPlate)
  return { ranked: withRanks(ranked), left }
}

function wholeCost(form: WholeForm, request: BuyingRequest, offers: readonly Offer[]): TrueCost | NotComparable['why'] {
  const pile = form.piles.find((pile) => pile.name === request.product && pile.class === 'primary')
  if (!pile) return 'product-missing'
  const order = orderForPlates(form, request)
  if (!order) return 'size-unknown'
  const document = documentOfOrder(form, order, request, { plate: request, offers })
  const appraisal = appraise(document)
  const product = appraisal.piles.find(({ name }) => name === request.product)
  const costPerKg = product?.costPerKg ?? null
  const productCost = product?.cost ?? null
  if (!product || costPerKg === null || productCost === null) return 'product-missing'
  const costAt = (share: number) => {
    const other = documentOfOrder(form, order, request, { plate: request, shares: { [pile.name]: share } })
    const cost = appraise(other).piles.find(({ name }) => name === request.product)?.cost ?? productCost
    return cost / (order.pieces * platesFromUnit(form, request, share))
  }
  const { value, halfWidth } = pile.share
  const spread =
    halfWidth > 0 ? Math.abs(costAt(Math.max(value - halfWidth, value / 2)) - costAt(value + halfWidth)) : 0
  const plates = platesOf(order, platesFromUnit(form, request), request.plates)
  return {
    form,
    order,
    ...plates,
    carries: product.weight / plates.expectedPlates,
    yield: pile.share,
    outlay: appraisal.cost.ap,
    labour: appraisal.cost.labour,
    consumables: appraisal.cost.consumables,
    credit: appraisal.cost.credit,
    carriedByOthers: appraisal.cost.in - appraisal.cost.credit - productCost,
    productCost,
    servable: product.weight,
    costPerKg,
    costPerPlate: productCost / plates.expectedPlates,
    halfWidth: spread / 2,
    rank: 0,
    basis: { document, appraisal },
  }
}

/** What an order gives, and what one less of what is bought would leave short: whole plates. */
function platesOf({ pieces, packs }: Order, perPiece: number, wanted: number) {
  const step = packs === null ? 1 : pieces / packs
  const plates = Math.floor(pieces * perPiece + 1e-9)
  const less = Math.floor((pieces - step) * perPiece + 1e-9)
  return { expectedPlates: pieces * perPiece, plates, missingWithOneLess: Math.max(0, Math.ceil(wanted - less - 1e-9)) }
}

function readyCost(form: ReadyForm, request: BuyingRequest): TrueCost | NotComparable['why'] {
  const offer = offerOfForm(form, request)
  const order = orderOfReady(form, request)
  if (!offer || !order) return 'size-unknown'
  const served = servedOfBought(offer, request.plateWeight)
  const costPerKg = (buyPerPortion(offer, request.plates) / served) * GRAMS_PER_KILOGRAM
  const plates = platesOf(order, platesFromPiece(form, order.weight / order.pieces, request), request.plates)
  const servable = served * form.usableShare * order.pieces
  const [outlay, handling] = [order.goods + form.quote.delivery, handlingPerPiece(offer) * order.pieces]
  return {
    form,
    order,
    ...plates,
    carries: servable / plates.expectedPlates,
    yield: null,
    outlay,
    labour: handling,
    consumables: 0,
    credit: 0,
    carriedByOthers: 0,
    productCost: outlay + handling,
    servable,
    costPerKg,
    costPerPlate: (outlay + handling) / plates.expectedPlates,
    halfWidth: 0,
    rank: 0,
    basis: { offer, plates: request.plates },
  }
}

/** Two costs can be told apart where their difference is larger than both intervals taken together. */
export const canTellApart = (a: Pick<TrueCost, 'costPerPlate' | 'halfWidth'>, b: typeof a): boolean =>
  Math.abs(a.costPerPlate - b.costPerPlate) > Math.hypot(a.halfWidth, b.halfWidth)

/** Ranks in the order of cost; a form that cannot be told apart from the first of a rank shares it. */
function withRanks(sorted: readonly TrueCost[]): TrueCost[] {
  let leader: TrueCost | null = null
  let rank = 0
  return sorted.map((cost, index) => {
    if (!leader || canTellApart(leader, cost)) {
      leader = cost
      rank = index + 1
    }
    return { ...cost, rank }
  })
}
