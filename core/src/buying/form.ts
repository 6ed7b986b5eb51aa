import type { Keeping } from './buying-form.ts'

/** Days that something keeps, the first counted: nothing is good for less than the day on which it is made. */
export const keptDays = ({ chilledDays }: Keeping): number => Math.max(1, chilledDays)

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
