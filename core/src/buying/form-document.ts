import { orderedPieces, servedOfBought } from '../comparison/index.ts'
import {
  DOCUMENT_FORMAT,
  DOCUMENT_VERSION,
  type FabricationDocument,
  type Offer,
  type Pile,
  type Purchase,
} from '../fabrication/index.ts'
import type { FormPile, ReadyForm, WholeForm } from './buying-form.ts'
import type { BuyingRequest } from './form.ts'
import { type Order, orderFor, pieceWeightOf } from './quote.ts'

/** What an order of something whole says on its invoice. */
function purchaseOf({ quote }: Pick<WholeForm, 'quote'>, order: Order): Purchase {
  const { amount, per } = quote.price
  return {
    // A lot is the whole purchase in a document, however many lots it was bought in.
    price: per === 'lot' ? { amount: amount * (order.packs ?? 1), per } : { amount, per },
    invoiceWeight: order.weight,
    pieces: Math.max(1, Math.round(order.pieces)),
    cases: order.packs ?? 1,
    extras: quote.delivery,
  }
}

/** The order of something whole that gives the plates wanted; null where the quote does not say how much one buys. */
export const orderForPlates = (form: WholeForm, request: BuyingRequest): Order | null =>
  orderFor(form.quote, unitsWanted(form, request), form.unitWeight)

/** A piece this near to the weight of a plate is a plate, where nobody set bounds: nobody orders a crate for a gram. */
const USUAL_LEEWAY = 0.05

/** What of something lies on a plate: which plate it is for, and how a light one counts. */
type PlateAsked = Pick<BuyingRequest, 'plateWeight' | 'lightPlates'>

/** A piece serves a plate where both lie within its bounds; a light one only where the kitchen lets it. */
function isPlate(
  piece: number,
  { plateWeight, lightPlates }: PlateAsked,
  bounds: { low: number; high: number } | null,
): boolean {
  if (lightPlates === 'by-weight' && piece < plateWeight) return false
  const { low, high } = bounds ?? { low: plateWeight * (1 - USUAL_LEEWAY), high: plateWeight * (1 + USUAL_LEEWAY) }
  return [piece, plateWeight].every((grams) => grams >= low && grams <= high)
}

/**
 * Plates that one unit of something whole gives, by its portions where one of them is a plate, else by its grams;
 * `share` is that of the product in AP, by default the one expected.
 */
export function platesFromUnit(
  form: WholeForm,
  plate: PlateAsked & Pick<BuyingRequest, 'product'>,
  share = form.piles.find(({ name }) => name === plate.product)?.share.value ?? 0,
): number {
  const grams = share * (pieceWeightOf(form.quote) ?? form.unitWeight)
  const portions = form.piles.find(({ name }) => name === plate.product)?.portions ?? null
  if (portions && isPlate(grams / portions.perUnit, plate, portions)) return portions.perUnit
  return grams / plate.plateWeight
}

/** Plates that a piece bought ready gives, rejects out: one where it is a plate, else by its grams. */
export function platesFromPiece(form: ReadyForm, pieceWeight: number, plate: PlateAsked): number {
  const { plateWeight } = plate
  const plates = isPlate(pieceWeight, plate, null) ? 1 : servedOfBought({ pieceWeight }, plateWeight) / plateWeight
  return plates * form.usableShare
}

function unitsWanted(form: WholeForm, request: BuyingRequest): number {
  const perUnit = platesFromUnit(form, request)
  return perUnit > 0 ? request.plates / perUnit : 1
}

type Plate = Pick<BuyingRequest, 'product' | 'plateWeight'>

const pileOf = (pile: FormPile, weight: number, plate: Plate | null): Pile => ({
  name: pile.name,
  class: pile.class,
  weight,
  ...(pile.class === 'primary' ? targetOf(pile, plate) : {}),
  ...(pile.valuePerKg === null ? {} : { valuePerKg: pile.valuePerKg }),
  ...(pile.usedShare === null ? {} : { usedShare: pile.usedShare }),
  ...(pile.processingPerKg === null ? {} : { processingPerKg: pile.processingPerKg }),
})

function targetOf(pile: FormPile, plate: Plate | null): { target?: number } {
  if (plate && pile.name === plate.product) return { target: plate.plateWeight }
  return pile.target === null ? {} : { target: pile.target }
}

/** What one pays for labour, and in which money. */
export type Terms = Pick<BuyingRequest, 'wagePerHour' | 'currency'>

export interface DocumentDetails {
  /** The product on the plate: its pile is portioned by it. */
  plate?: Plate | null
  offers?: readonly Offer[]
  /** Replaces the expected share of a pile, by its name. */
  shares?: Readonly<Record<string, number>>
}

/** The fabrication that an order of something whole leads to, cut as the style says, at the yields expected. */
export function documentOfOrder(
  form: WholeForm,
  order: Order,
  { wagePerHour, currency }: Terms,
  { plate = null, offers = [], shares = {} }: DocumentDetails = {},
): FabricationDocument {
  const { pieces: units, weight } = order
  return {
    format: DOCUMENT_FORMAT,
    version: DOCUMENT_VERSION,
    currency,
    item: form.item,
    style: form.style,
    purchase: purchaseOf(form, order),
    labour: [{ task: 'break down', minutes: form.minutesPerUnit.value * units, ratePerHour: wagePerHour }],
    consumables: form.consumablesPerUnit > 0 ? [{ name: 'bags', cost: form.consumablesPerUnit * units }] : [],
    piles: form.piles.map((pile) => pileOf(pile, (shares[pile.name] ?? pile.share.value) * weight, plate)),
    creditPolicy: 'used',
    allocation: 'value',
    offers,
    meta: { supplier: form.supplier },
  }
}

/** The order of what is bought ready that gives the plates wanted; null where its size is unknown. */
export function orderOfReady(form: ReadyForm, request: BuyingRequest): Order | null {
  const pieceWeight = pieceWeightOf(form.quote)
  if (pieceWeight === null || pieceWeight <= 0) return null
  return orderFor(form.quote, request.plates / platesFromPiece(form, pieceWeight, request))
}

/**
 * A ready form as an offer for the product. The one way from the price book to an offer: a verdict and the true
 * cost both take it, and both spread its delivery over the same pieces. Null where its size is unknown.
 */
export function offerOfForm(form: ReadyForm, request: BuyingRequest): Offer | null {
  const pieceWeight = pieceWeightOf(form.quote)
  const order = orderOfReady(form, request)
  if (pieceWeight === null || order === null) return null
  // An offer is one pack where it is sold in packs.
  const pieces = order.packs === null ? order.pieces : order.pieces / order.packs
  // A verdict spreads charges over the packs that the plates take. Where rejects or the least order ask for more,
  // each piece carries the part of the delivery that it has in the real order.
  const extras = (form.quote.delivery * orderedPieces({ pieces }, request.plates)) / order.pieces
  return {
    name: `${form.article}, ${form.supplier}`,
    pile: request.product,
    price: form.quote.price,
    pieces,
    pieceWeight,
    usableShare: form.usableShare,
    handlingMinutesPerPiece: form.handlingMinutesPerPiece,
    ratePerHour: request.wagePerHour,
    extras,
  }
}
