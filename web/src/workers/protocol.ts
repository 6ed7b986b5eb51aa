import type { Work, WorkName } from '@fleam/contract/portioning/work'
import type { Forecast, ForecastModel, Spreads } from '@fleam/core/forecasting'
import type { PriceIssue, PriceListContext, PriceListLine, PriceMapping } from '@fleam/core/price-lists'

/** What the page asks of the worker: each request has a number, and its answers the same. */
export type WorkerRequest =
  | {
      id: number
      type: 'read-price-list'
      csv: string
      mapping: PriceMapping
      context: PriceListContext
      /** So many lines are sent back to be looked at. */
      shown: number
    }
  | { id: number; type: 'forecast'; model: ForecastModel; spreads: Spreads; draws: number; seed: number }
  | { [N in WorkName]: { id: number; type: 'work'; name: N; input: Work[N]['input'] } }[WorkName]
  /** Nobody waits for that answer any more. */
  | { id: number; type: 'cancel' }

export interface PriceListPreview {
  /** Rows that are right, and the first of them. */
  rows: number
  lines: (PriceListLine & { row: number })[]
  issues: PriceIssue[]
  /** Every row was looked at. */
  isWhole: boolean
}

export type WorkerReply =
  | { id: number; type: 'price-list'; preview: PriceListPreview }
  | { id: number; type: 'progress'; done: number; of: number }
  | { id: number; type: 'forecast'; forecast: Forecast }
  | { id: number; type: 'worked'; answer: unknown }
  | { id: number; type: 'failed'; message: string }
