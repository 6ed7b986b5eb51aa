import type { PriceImport } from '@fleam/contract/buying/operations'
import type { PriceIssue, PriceMapping } from '@fleam/core/price-lists'
import { rowsOfList, withCell } from '@fleam/core/price-lists'
import { useRef, useState } from 'react'
import { ApiProblem } from '../../data/api.ts'
import { useInvalidatePrices } from '../../data/buying-queries.ts'
import { importPriceList, type Takes } from '../../data/import-price-list.ts'
import { useKitchen } from '../../data/kitchen-context.ts'

export interface ListImportState {
  /** The list as it is now: cells that were mended, rows that were taken left out. */
  csv: string
  /** What only the price book can say is wrong, by rows of the list as it is now. */
  bookIssues: readonly PriceIssue[]
  progress: { done: number; of: number } | null
  error: unknown
  /** Writes a cell anew, by its row and header. */
  mend: (row: number, header: string, cell: string) => void
  take: (mapping: PriceMapping, takes: Takes, rows: number) => Promise<void>
  breakOff: () => void
}

/** Taking a list into the price book: what was not taken stays, to be mended and taken after the others. */
export function useListImport(before: string, onTaken: (result: PriceImport, isAll: boolean) => void): ListImportState {
  const kitchen = useKitchen()
  const [csv, setCsv] = useState(before)
  const [bookIssues, setBookIssues] = useState<readonly PriceIssue[]>([])
  const [progress, setProgress] = useState<ListImportState['progress']>(null)
  const [error, setError] = useState<unknown>(null)
  const leaving = useRef<AbortController | null>(null)
  const invalidatePrices = useInvalidatePrices()
  const keepOnly = (skipped: readonly PriceIssue[]) => {
    const rows = [...new Set(skipped.map(({ row }) => row))].sort((a, b) => a - b)
    setCsv(rowsOfList(csv, new Set(rows)))
    const overlaps = skipped.filter(({ code }) => code === 'overlap')
    setBookIssues(overlaps.map((issue) => ({ ...issue, row: rows.indexOf(issue.row) + 2 })))
  }
  const take = async (mapping: PriceMapping, takes: Takes, rows: number) => {
    leaving.current = new AbortController()
    setError(null)
    setProgress({ done: 0, of: rows })
    try {
      const onProgress = (done: number, of: number) => setProgress({ done, of })
      const { signal } = leaving.current
      const result = await importPriceList({
        kitchenId: kitchen.id,
        ...{ csv, mapping, takes, onProgress, signal },
      })
      await invalidatePrices()
      if (result.skipped.length > 0) keepOnly(result.skipped)
      onTaken(result, result.skipped.length === 0)
    } catch (failure) {
      const refused = refusedRows(failure)
      if (refused) setBookIssues(refused)
      else if ((failure as Error).name !== 'AbortError') setError(failure)
    } finally {
      setProgress(null)
    }
  }
  return {
    csv,
    bookIssues,
    progress,
    error,
    mend: (row, header, cell) => {
      setCsv(withCell(csv, row, header, cell))
      // What the book said of the row was said of what stood there.
      setBookIssues((issues) => issues.filter((issue) => issue.row !== row))
    },
    take,
    breakOff: () => leaving.current?.abort(),
  }
}

/** The rows that a list was refused for; null where it was something else. */
const refusedRows = (failure: unknown): PriceIssue[] | null =>
  failure instanceof ApiProblem && failure.problem.code === 'price-list-wrong'
    ? (failure.problem.current as PriceIssue[])
    : null
