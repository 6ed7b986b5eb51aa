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

/** What is in a pile, whatever it is called: this decides how it is kept and cooked, and that liquid was drained. */
export const PILE_KINDS = ['portions', 'trim', 'bones', 'fat', 'liquid', 'waste'] as const
export type PileKind = (typeof PILE_KINDS)[number]

/** How a pile is weighed: each piece by itself, or as a whole (in one or several containers). */
export const WEIGHINGS = ['pieces', 'whole'] as const

/** What the weights of a record say: they add up, more came out than went in, or a pile was probably not weighed. */
export const BALANCES = ['ok', 'over', 'lost'] as const
export type Balance = (typeof BALANCES)[number]
