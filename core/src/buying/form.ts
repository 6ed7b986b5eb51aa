import type { PileClass } from '../fabrication/index.ts'
import type { Estimate } from '../forecasting/index.ts'
import type { Quote } from './quote.ts'

/** How long something keeps. */
export interface Keeping {
  /** Days in the cold, the day it is cut counted. */
  chilledDays: number
  /** Months frozen, for quality; null where it is not frozen. */
  frozenMonths: number | null
}

/** Days that something keeps, the first counted: nothing is good for less than the day on which it is made. */
export const keptDays = ({ chilledDays }: Keeping): number => Math.max(1, chilledDays)

/** A value of a kilo that nobody said: from what it costs bought ready, or from the same product or like piles of other styles. */
export interface AssumedValue {
  perKg: number
  from: 'price-book' | 'same-product' | 'same-kind'
}

/** A pile that comes with the product, as one unit of the whole thing gives it. */
export interface FormPile {
  name: string
  class: PileClass
  /** Share of AP to expect. */
  share: Estimate
  /** Grams of one portion of a primary pile; null where it is not portioned. */
  target: number | null
  /** Pieces that one unit gives, and the bounds of one; null where it is not told piece by piece. */
  portions: { perUnit: number; low: number; high: number } | null
  /** How long it keeps; null for what is not kept. */
  keeping: Keeping | null
  valuePerKg: number | null
  /** What it is likely worth where nobody said, and how that is known; null or absent where nothing tells. */
  assumedValue?: AssumedValue | null | undefined
  usedShare: number | null
  processingPerKg: number | null
}

interface AnyForm {
  /** Unique among the forms that are compared. */
  id: string
  articleId: string
  supplierId: string
  supplier: string
  /** What the supplier calls it. */
  article: string
  quote: Quote
  /** Day from which the price holds. */
  since: string
}

/** Something whole that is cut here: a bird, a fish, a loin, a rack, in one cut style. */
export interface WholeForm extends AnyForm {
  kind: 'whole'
  item: string
  styleId: string
  style: string
  /** Grams of one unit as purchased, where the quote does not say. */
  unitWeight: number
  minutesPerUnit: Estimate
  /** Consumables for one unit, money. */
  consumablesPerUnit: number
  piles: readonly FormPile[]
}

/** Pieces bought ready, to be served as they are. */
export interface ReadyForm extends AnyForm {
  kind: 'ready'
  /** Share of the pieces that can be served, above 0 and up to 1. */
  usableShare: number
  handlingMinutesPerPiece: number
}

/** One way to come by a product. */
export type BuyingForm = WholeForm | ReadyForm

/**
 * What a plate is that weighs less than was wanted and lies within its bounds: a plate, or the part of one that it
 * weighs. A kitchen says it once, and what is bought, compared and planned follows.
 */
export const LIGHT_PLATES = ['whole', 'by-weight'] as const
export type LightPlates = (typeof LIGHT_PLATES)[number]

export interface BuyingRequest {
  /** Name of the pile that is wanted. */
  product: string
  /** Plates wanted: delivery charges and packs are spread over what is ordered for them. */
  plates: number
  /** Grams of the product on one plate. */
  plateWeight: number
  lightPlates: LightPlates
  wagePerHour: number
  currency: string
}
