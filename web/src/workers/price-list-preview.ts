import type { PriceIssue, PriceListContext, PriceListLine, PriceMapping } from '@fleam/core/price-lists'

/** A price list to be looked at before it is taken in. */
export interface PriceListText {
  csv: string
  mapping: PriceMapping
  context: PriceListContext
  /** So many lines are sent back to be looked at. */
  shown: number
}

export interface PriceListPreview {
  /** Rows that are right, and the first of them. */
  rows: number
  lines: (PriceListLine & { row: number })[]
  issues: PriceIssue[]
  /** Every row was looked at. */
  isWhole: boolean
}
