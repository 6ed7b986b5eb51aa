/** One fabrication as plain data: weights in grams, money in major units, times in minutes. */

export const DOCUMENT_FORMAT = 'fleam/fabrication'
export const DOCUMENT_VERSION = 1

export const PRICE_UNITS = ['kg', 'lb', 'piece', 'case', 'lot'] as const
export const PILE_CLASSES = ['primary', 'by-product', 'waste'] as const
export const CREDIT_POLICIES = ['none', 'book', 'used', 'net'] as const
export const ALLOCATIONS = ['weight', 'value', 'portion'] as const

export type PriceUnit = (typeof PRICE_UNITS)[number]
export type PileClass = (typeof PILE_CLASSES)[number]
/** How by-products are valued, see `credit.ts`. */
export type CreditPolicy = (typeof CREDIT_POLICIES)[number]
/** How the net cost is spread over several primary piles, see `allocation.ts`. */
export type Allocation = (typeof ALLOCATIONS)[number]

export interface Price {
  amount: number
  per: PriceUnit
}

export interface Purchase {
  price: Price
  /** As purchased: what is paid for, above zero. */
  invoiceWeight: number
  /** What the kitchen's own scale said; the invoice's weight where nobody weighed. */
  receivedWeight?: number | undefined
  /** Liquid drained from the bag. */
  purge?: number | undefined
  /** Needed where the price is per piece. */
  pieces?: number | undefined
  /** Needed where the price is per case. */
  cases?: number | undefined
  /** Delivery and other charges on the invoice, money. */
  extras?: number | undefined
}

export interface LabourEntry {
  task: string
  minutes: number
  ratePerHour: number
}

export interface Consumable {
  name: string
  cost: number
}

/** What is in a pile, whatever it is called: this decides how it is kept and cooked, and that liquid was drained. */
export const PILE_KINDS = ['portions', 'trim', 'bones', 'fat', 'liquid', 'waste'] as const
export type PileKind = (typeof PILE_KINDS)[number]

/** A pile has either `weight` or `pieces` (each one's weight). */
export interface Pile {
  name: string
  class: PileClass
  /** Not given where nobody said it. */
  kind?: PileKind | undefined
  weight?: number | undefined
  pieces?: readonly number[] | undefined
  /** Portions in a primary pile that was weighed whole. */
  portions?: number | undefined
  target?: number | undefined
  low?: number | undefined
  high?: number | undefined
  /** Replacement value of a by-product, market value of a primary; haulage (zero or less) of waste. */
  valuePerKg?: number | undefined
  /** Share really used, 0 to 1; 1 where not given. */
  usedShare?: number | undefined
  processingPerKg?: number | undefined
}

/** A supplier's price for the ready-portioned equivalent of one primary pile. */
export interface Offer {
  name: string
  pile: string
  price: Price
  /** Pieces in a case or lot. */
  pieces?: number | undefined
  pieceWeight: number
  /** Share of the pieces that can be served, above 0 and up to 1. */
  usableShare?: number | undefined
  handlingMinutesPerPiece?: number | undefined
  ratePerHour?: number | undefined
  extras?: number | undefined
}

export interface DocumentMeta {
  id?: string | undefined
  date?: string | undefined
  cook?: string | undefined
  supplier?: string | undefined
  lot?: string | undefined
  notes?: string | undefined
}

export interface FabricationDocument {
  format: typeof DOCUMENT_FORMAT
  version: typeof DOCUMENT_VERSION
  currency: string
  item: string
  style: string
  purchase: Purchase
  labour?: readonly LabourEntry[] | undefined
  consumables?: readonly Consumable[] | undefined
  piles: readonly Pile[]
  creditPolicy: CreditPolicy
  allocation: Allocation
  offers?: readonly Offer[] | undefined
  /** A person has looked at an `over` balance and stands by it. */
  confirmed?: boolean | undefined
  meta?: DocumentMeta | undefined
}

/** Weight of a pile in grams: the sum of its pieces where they were weighed one by one. */
export function pileWeight(pile: Pile): number {
  if (!pile.pieces) return pile.weight ?? 0
  let sum = 0
  for (const piece of pile.pieces) sum += piece
  return sum
}

/** Share of a pile that is really used: waste never is, the others wholly unless said otherwise. */
export function usedShareOf(pile: Pick<Pile, 'class' | 'usedShare'>): number {
  return pile.class === 'waste' ? 0 : (pile.usedShare ?? 1)
}
