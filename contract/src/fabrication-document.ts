import {
  ALLOCATIONS,
  CREDIT_POLICIES,
  DOCUMENT_FORMAT,
  DOCUMENT_VERSION,
  type FabricationDocument,
  PILE_CLASSES,
  PILE_KINDS,
  type PlannedOffer,
  PRICE_UNITS,
} from '@fleam/core/fabrication'
import { MAX_PIECES, MAX_WEIGHINGS, SMALLEST_QUANTITY } from '@fleam/core/limits'
import { z } from 'zod'
import {
  count,
  currency,
  day,
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
} from './numbers.ts'

const MAX_PILES = 500
const MAX_ROWS = 200

export const price = z.strictObject({ amount: money, per: z.enum(PRICE_UNITS) })

const bought = {
  invoiceWeight: positiveGrams,
  receivedWeight: grams.optional(),
  purge: grams.optional(),
  pieces: positiveCount.optional(),
  cases: z.number().min(SMALLEST_QUANTITY).max(1_000_000).optional(),
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

export const labourEntry = z.strictObject({ task: name, minutes, ratePerHour: money })
export const consumable = z.strictObject({ name, cost: money })

const pileFields = {
  name,
  class: z.enum(PILE_CLASSES),
  /** What is in it; a pile of liquid is what was drained at the bench. */
  kind: z.enum(PILE_KINDS).optional(),
  target: positiveGrams.optional(),
  low: grams.optional(),
  high: grams.optional(),
  valuePerKg: signedMoney.optional(),
  usedShare: share.optional(),
  processingPerKg: money.optional(),
  portions: count.optional(),
}

/** Haulage may cost, replacement may not: the sign of a value depends on the class of the pile. */
export function valueSignMessage(pile: { class: string; valuePerKg?: number | null | undefined }): string | null {
  const value = pile.valuePerKg ?? 0
  if (pile.class === 'waste' && value > 0) return 'must be zero or negative for waste (a disposal cost)'
  return pile.class !== 'waste' && value < 0 ? 'must not be negative' : null
}

const pile = z
  .strictObject({ ...pileFields, weight: grams.optional(), pieces: z.array(grams).max(MAX_PIECES).optional() })
  .superRefine((value, context) => {
    const refuse = (field: string, message: string) => context.addIssue({ code: 'custom', path: [field], message })
    if (value.weight === undefined && value.pieces === undefined) refuse('weight', 'or pieces is needed')
    if (value.weight !== undefined && value.pieces !== undefined) refuse('weight', 'must not stand beside pieces')
    const sign = valueSignMessage(value)
    if (sign) refuse('valuePerKg', sign)
  })

const offerFields = {
  name,
  price,
  pieces: positiveCount.optional(),
  pieceWeight: positiveGrams,
  usableShare: positiveShare.optional(),
  handlingMinutesPerPiece: minutes.optional(),
  ratePerHour: money.optional(),
  extras: money.optional(),
}

function refuseOffer(value: OfferToCheck, context: z.RefinementCtx): void {
  const isPack = value.price.per === 'case' || value.price.per === 'lot'
  if (value.pieces === undefined && isPack) {
    context.addIssue({ code: 'custom', path: ['pieces'], message: 'is needed to spread a pack over its pieces' })
  }
}
interface OfferToCheck {
  price: { per: string }
  pieces?: number | undefined
}

/** An offer of a document, for the pile of that name. */
const offer = z.strictObject({ ...offerFields, pile: name }).superRefine(refuseOffer)

/** An offer that a kitchen keeps for a pile of a style. */
export const offerOfPile = z.strictObject({ ...offerFields, pileId: id }).superRefine(refuseOffer)

/** An offer of a record, for one of its piles; `articleId` is null or absent where it was typed. */
export const plannedOffer = z
  .strictObject({ ...offerFields, pileId: id, articleId: id.nullable().optional() })
  .superRefine(refuseOffer) satisfies z.ZodType<PlannedOffer>

interface Named {
  name: string
}

/** Names that stand twice, as issues on the second one. */
export function repeatedNames(list: readonly Named[], field: string): { path: (string | number)[]; message: string }[] {
  const seen = new Set<string>()
  return list.flatMap((each, at) => {
    if (!seen.has(each.name)) {
      seen.add(each.name)
      return []
    }
    return [{ path: [field, at, 'name'], message: `'${each.name}' stands twice` }]
  })
}

/** Rules of piles, for documents and for a kitchen's own records alike. */
export function pileRuleIssues(
  piles: readonly { name: string; class: string }[],
): { path: (string | number)[]; message: string }[] {
  const issues = repeatedNames(piles, 'piles')
  if (!piles.some((each) => each.class === 'primary'))
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

/** The fabrication document: one JSON form for the core, the API, import and export. Unknown fields are refused. */
export const fabricationDocument: z.ZodType<FabricationDocument> = z
  .strictObject({
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
    confirmed: z.boolean().optional(),
    meta: meta.optional(),
  })
  .superRefine((value, context) => {
    const weighings = value.piles.reduce((sum, each) => sum + (each.pieces?.length ?? 1), 0)
    if (weighings > MAX_WEIGHINGS) {
      const message = `hold more than ${MAX_WEIGHINGS} weighings`
      context.addIssue({ code: 'custom', path: ['piles'], message })
    }
    for (const issue of pileRuleIssues(value.piles)) context.addIssue({ code: 'custom', ...issue })
    value.offers?.forEach((each, at) => {
      if (value.piles.some((other) => other.name === each.pile && other.class === 'primary')) return
      const message = `'${each.pile}' is not a primary pile here`
      context.addIssue({ code: 'custom', path: ['offers', at, 'pile'], message })
    })
  })
  .meta({ id: 'FabricationDocument' })
