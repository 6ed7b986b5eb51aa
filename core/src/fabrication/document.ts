import { z } from 'zod'
import { MAX_PIECES, MAX_WEIGHINGS, SMALLEST_QUANTITY } from '../limits/index.ts'
import {
  count,
  currency,
  day,
  type FixedLists,
  grams,
  id,
  minutes,
  money,
  name,
  notes,
  positiveCount,
  positiveGrams,
  positiveShare,
  share,
  signedMoney,
} from '../values/index.ts'
import {
  ALLOCATIONS,
  CREDIT_POLICIES,
  DOCUMENT_FORMAT,
  DOCUMENT_VERSION,
  PILE_CLASSES,
  PILE_KINDS,
  PRICE_UNITS,
} from './kinds.ts'
import { refuseValueSign } from './value-sign.ts'

const MAX_PILES = 500
const MAX_ROWS = 200

export const price = z.strictObject({ amount: money, per: z.enum(PRICE_UNITS) })

const bought = {
  /** As purchased: what is paid for. */
  invoiceWeight: positiveGrams,
  /** What the kitchen's own scale said; the invoice's weight where nobody weighed. */
  receivedWeight: grams.optional(),
  /** Liquid drained from the bag. */
  purge: grams.optional(),
  /** Needed where the price is per piece. */
  pieces: positiveCount.optional(),
  /** Needed where the price is per case. */
  cases: z.number().min(SMALLEST_QUANTITY).max(1_000_000).optional(),
  /** Delivery and other charges on the invoice. */
  extras: money.optional(),
}

interface PurchaseToCheck {
  price: { per: string } | null
  invoiceWeight: number
  receivedWeight?: number | undefined
  purge?: number | undefined
  pieces?: number | undefined
  cases?: number | undefined
}

function refusePurchase(value: PurchaseToCheck, context: z.RefinementCtx): void {
  const refuse = (field: string, message: string) => context.addIssue({ code: 'custom', path: [field], message })
  if (value.price?.per === 'piece' && value.pieces === undefined) refuse('pieces', 'is needed for a price per piece')
  if (value.price?.per === 'case' && value.cases === undefined) refuse('cases', 'is needed for a price per case')
  if ((value.purge ?? 0) > (value.receivedWeight ?? value.invoiceWeight)) {
    refuse('purge', 'must not be more than what was received')
  }
}

export const purchase = z.strictObject({ price, ...bought }).superRefine(refusePurchase)
/** What was bought, by somebody who may not know the price. */
export const startPurchase = z.strictObject({ price: price.nullable(), ...bought }).superRefine(refusePurchase)

export type Price = z.infer<typeof price>
export type Purchase = z.infer<typeof purchase>

export const labourEntry = z.strictObject({ task: name, minutes, ratePerHour: money })
export type LabourEntry = z.infer<typeof labourEntry>
export const consumable = z.strictObject({ name, cost: money })
export type Consumable = z.infer<typeof consumable>

const pileFields = {
  name,
  class: z.enum(PILE_CLASSES),
  /** What is in it; a pile of liquid is what was drained at the bench. */
  kind: z.enum(PILE_KINDS).optional(),
  target: positiveGrams.optional(),
  low: grams.optional(),
  high: grams.optional(),
  /** Replacement value of a by-product, market value of a primary; haulage (zero or less) of waste. */
  valuePerKg: signedMoney.optional(),
  /** Share really used; 1 where not given. */
  usedShare: share.optional(),
  processingPerKg: money.optional(),
  /** Portions in a primary pile that was weighed whole. */
  portions: count.optional(),
}

/** A pile has either `weight` or `pieces` (each one's weight). */
const pile = z
  .strictObject({ ...pileFields, weight: grams.optional(), pieces: z.array(grams).max(MAX_PIECES).optional() })
  .superRefine((value, context) => {
    const refuse = (field: string, message: string) => context.addIssue({ code: 'custom', path: [field], message })
    if (value.weight === undefined && value.pieces === undefined) refuse('weight', 'or pieces is needed')
    if (value.weight !== undefined && value.pieces !== undefined) refuse('weight', 'must not stand beside pieces')
    refuseValueSign(value, context)
  })

export const offerFields = {
  name,
  price,
  /** Pieces in a case or lot. */
  pieces: positiveCount.optional(),
  pieceWeight: positiveGrams,
  /** Share of the pieces that can be served. */
  usableShare: positiveShare.optional(),
  handlingMinutesPerPiece: minutes.optional(),
  ratePerHour: money.optional(),
  extras: money.optional(),
}

export function refuseOffer(value: OfferToCheck, context: z.RefinementCtx): void {
  const isPack = value.price.per === 'case' || value.price.per === 'lot'
  if (value.pieces === undefined && isPack) {
    context.addIssue({ code: 'custom', path: ['pieces'], message: 'is needed to spread a pack over its pieces' })
  }
}
interface OfferToCheck {
  price: { per: string }
  pieces?: number | undefined
}

/** A supplier's price for the ready-portioned equivalent of one primary pile, which a document names. */
const offer = z.strictObject({ ...offerFields, pile: name }).superRefine(refuseOffer)
export type Offer = z.infer<typeof offer>

/** An offer that a kitchen keeps for a pile of a style. */
export const offerOfPile = z.strictObject({ ...offerFields, pileId: id }).superRefine(refuseOffer)

interface Named {
  name: string
}

/** Names that stand twice, as issues on the second one. */
export function repeatedNames(list: readonly Named[], field: string): { path: (string | number)[]; message: string }[] {
  const seen = new Set<string>()
  return list.flatMap((item, index) => {
    if (!seen.has(item.name)) {
      seen.add(item.name)
      return []
    }
    return [{ path: [field, index, 'name'], message: `'${item.name}' stands twice` }]
  })
}

/** Rules of piles, for documents and for a kitchen's own records alike. */
export function pileRuleIssues(
  piles: readonly { name: string; class: string }[],
): { path: (string | number)[]; message: string }[] {
  const issues = repeatedNames(piles, 'piles')
  if (!piles.some((pile) => pile.class === 'primary'))
    issues.push({ path: ['piles'], message: 'need at least one primary pile' })
  return issues
}

const meta = z.strictObject({
  id: z.string().max(120).optional(),
  date: day.optional(),
  cook: name.optional(),
  supplier: name.optional(),
  lot: name.optional(),
  notes: notes.optional(),
})

const fields = z.strictObject({
  format: z.literal(DOCUMENT_FORMAT),
  version: z.literal(DOCUMENT_VERSION),
  currency,
  item: name,
  style: name,
  purchase,
  labour: z.array(labourEntry).max(MAX_ROWS).optional(),
  consumables: z.array(consumable).max(MAX_ROWS).optional(),
  piles: z.array(pile).min(1).max(MAX_PILES),
  creditPolicy: z.enum(CREDIT_POLICIES),
  allocation: z.enum(ALLOCATIONS),
  offers: z.array(offer).max(MAX_ROWS).optional(),
  /** A person has looked at an `over` balance and stands by it. */
  confirmed: z.boolean().optional(),
  meta: meta.optional(),
})
export type FabricationDocument = FixedLists<z.infer<typeof fields>>
export type Pile = FabricationDocument['piles'][number]

/**
 * The fabrication document: one JSON form for the core, the API, import and export. Weights in grams, money in major
 * units, times in minutes. Unknown fields are refused.
 */
export const fabricationDocument: z.ZodType<FabricationDocument> = fields
  .superRefine((value, context) => {
    const weighings = value.piles.reduce((sum, pile) => sum + (pile.pieces?.length ?? 1), 0)
    if (weighings > MAX_WEIGHINGS) {
      const message = `hold more than ${MAX_WEIGHINGS} weighings`
      context.addIssue({ code: 'custom', path: ['piles'], message })
    }
    for (const issue of pileRuleIssues(value.piles)) context.addIssue({ code: 'custom', ...issue })
    value.offers?.forEach((offer, index) => {
      if (value.piles.some((other) => other.name === offer.pile && other.class === 'primary')) return
      const message = `'${offer.pile}' is not a primary pile here`
      context.addIssue({ code: 'custom', path: ['offers', index, 'pile'], message })
    })
  })
  .meta({ id: 'FabricationDocument' })
