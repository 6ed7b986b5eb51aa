import type { PriceIssue, PriceListContext, PriceListLine, PriceMapping } from '@fleam/contract'

/** What the page asks of the worker: each request has a number, and its answer the same. */
export type WorkerRequest = {
  id: number
  type: 'read-price-list'
  csv: string
  mapping: PriceMapping
  context: PriceListContext
  /** So many lines are sent back to be looked at. */
  shown: number
}

export interface PriceListPreview {
  rows: number
  lines: (PriceListLine & { row: number })[]
  issues: PriceIssue[]
}

export type WorkerReply =
  | { id: number; type: 'price-list'; preview: PriceListPreview }
  | { id: number; type: 'failed'; message: string }
