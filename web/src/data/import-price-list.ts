import { priceListOperations } from '@fleam/contract/buying/operations'
import type { PriceMapping } from '@fleam/core/price-lists'
import { type Following, followSteps } from './follow-steps.ts'

/** Every row or none, or those that are right. */
export type Takes = 'all' | 'good'

export interface ImportRequest extends Following {
  kitchenId: string
  csv: string
  mapping: PriceMapping
  takes: Takes
}

/** Sends a price list and follows its import line by line. */
export const importPriceList = ({ kitchenId, csv, mapping, takes, ...following }: ImportRequest) =>
  followSteps(priceListOperations.importPriceList, { kitchenId, body: { csv, mapping, takes } }, following)
