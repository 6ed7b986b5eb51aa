import type { PriceMapping } from '@fleam/contract/price-columns'
import type { ImportResult } from './buying-queries.ts'
import { type Following, followSteps } from './follow-steps.ts'

/** Every row or none, or those that are right. */
export type Takes = 'all' | 'good'

export interface ImportRequest extends Following {
  /** Where the kitchen's API is, `/api/kitchens/…`. */
  path: string
  csv: string
  mapping: PriceMapping
  takes: Takes
}

/** Sends a price list and follows its import line by line. */
export const importPriceList = ({ path, csv, mapping, takes, ...following }: ImportRequest): Promise<ImportResult> =>
  followSteps(`${path}/price-lists`, { csv, mapping, takes }, following)
