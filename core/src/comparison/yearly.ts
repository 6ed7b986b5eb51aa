import { MINUTES_PER_HOUR } from '../costing/index.ts'

export const WEEKS_PER_YEAR = 52

export interface YearlyResult {
  saving: number
  /** Labour that making takes in a year; the saving is already net of its wages. */
  labourHours: number
}

/** A year of making instead of buying: `saving` per portion, portions a week, labour minutes per portion. */
export function yearly(saving: number, portionsPerWeek: number, minutesPerPortion: number): YearlyResult {
  const portions = portionsPerWeek * WEEKS_PER_YEAR
  return { saving: saving * portions, labourHours: (minutesPerPortion * portions) / MINUTES_PER_HOUR }
}
