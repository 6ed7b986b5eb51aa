import { MINUTES_PER_HOUR, type PileResult, ratio } from '../costing/index.ts'

export const WEEKS_PER_YEAR = 52

export interface YearlyResult {
  saving: number
  /** Labour that making takes in a year; the saving is already net of its wages. */
  labourHours: number
}

/**
 * Minutes of labour in one portion of a pile: all minutes, shared like the net cost, over its portions.
 * Null where there is no portion or nothing to share by.
 */
export function minutesPerPortion(minutes: number, pile: PileResult, netCost: number): number | null {
  const share = ratio(pile.cost, netCost)
  return ratio(share === null ? null : share * minutes, pile.portions)
}

/** A year of making instead of buying: `saving` per portion, portions a week, labour minutes per portion. */
export function yearly(saving: number, portionsPerWeek: number, minutesPerPortion: number): YearlyResult {
  const portions = portionsPerWeek * WEEKS_PER_YEAR
  return { saving: saving * portions, labourHours: (minutesPerPortion * portions) / MINUTES_PER_HOUR }
}
