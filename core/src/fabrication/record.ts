import { type Fact, type Reading, standingReadings } from '../facts/index.ts'
import type { Consumable, FabricationDocument, LabourEntry, Purchase } from './document.ts'
import { type Allocation, type CreditPolicy, DOCUMENT_FORMAT, DOCUMENT_VERSION } from './kinds.ts'
import { type LabourSource, labourSoFar } from './labour.ts'
import type { CookName } from './marks.ts'
import type { PlannedOffer, PlannedPile } from './planned.ts'
import { pilesFromReadings } from './readings.ts'

/** Open at a bench; closed, with its verdict; abandoned: its weighings stay with it, and it counts nowhere. */
export const RECORD_STATUSES = ['open', 'closed', 'abandoned'] as const
export type RecordStatus = (typeof RECORD_STATUSES)[number]

/** Where the price of what was bought is from; `none` where nobody knows it yet, and money says nothing. */
export const PRICE_SOURCES = ['typed', 'price-book', 'lot', 'none'] as const
export type PriceSource = (typeof PRICE_SOURCES)[number]

/** Where the weight of what was bought is from: planned work starts with an estimate, until somebody types the invoice's. */
export const WEIGHT_SOURCES = ['invoice', 'estimated'] as const

/** A fabrication as a kitchen keeps it: what was bought and planned. What was weighed stands in the readings. */
export interface FabricationPlan {
  id: string
  currency: string
  item: string
  style: string
  purchase: Purchase
  labour: readonly LabourEntry[]
  labourFrom: LabourSource
  consumables: readonly Consumable[]
  piles: readonly PlannedPile[]
  offers: readonly PlannedOffer[]
  creditPolicy: CreditPolicy
  allocation: Allocation
  confirmed: boolean
  date: string
  cook: string | null
  supplier: string | null
  lot: string | null
  notes: string | null
  status: RecordStatus
}

export interface DocumentOptions {
  /** Where clocks still run, up to when, milliseconds since 1970, UTC; without it the plan's labour holds. */
  nowMs?: number
  /** Names the cooks whose clocks run. */
  cookName?: CookName
  /** The readings that stand, where they have been worked out already. */
  standing?: readonly Reading[]
}

/**
 * The document of a fabrication: its plan, with the piles derived from the readings that stand. While it
 * is open, minutes that the cooks' clocks measured take the place of those the style assumes (see `labourSoFar`);
 * finishing writes them into the plan, where they may be corrected.
 */
export function documentOf(
  plan: FabricationPlan,
  facts: readonly Fact[],
  { nowMs, cookName = () => undefined, standing = standingReadings(facts) }: DocumentOptions = {},
): FabricationDocument {
  const isRunning = plan.status === 'open' && nowMs !== undefined
  const labour = isRunning ? labourSoFar(plan, facts, nowMs, cookName).entries : plan.labour
  const { cook, supplier, lot, notes } = plan
  return {
    format: DOCUMENT_FORMAT,
    version: DOCUMENT_VERSION,
    currency: plan.currency,
    item: plan.item,
    style: plan.style,
    purchase: plan.purchase,
    labour,
    consumables: plan.consumables,
    piles: pilesFromReadings(plan.piles, standing),
    creditPolicy: plan.creditPolicy,
    allocation: plan.allocation,
    offers: plan.offers.flatMap(({ articleId: _article, pileId, ...offer }) => {
      const pile = plan.piles.find((pile) => pile.id === pileId)
      return pile ? [{ ...offer, pile: pile.name }] : []
    }),
    ...(plan.confirmed ? { confirmed: true } : {}),
    meta: {
      id: plan.id,
      date: plan.date,
      ...(cook === null ? {} : { cook }),
      ...(supplier === null ? {} : { supplier }),
      ...(lot === null ? {} : { lot }),
      ...(notes === null ? {} : { notes }),
    },
  }
}
