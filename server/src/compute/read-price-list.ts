import { priceListBody } from '@fleam/contract/buying/operations'
import { issuesOf, type Problem } from '@fleam/contract/problem'
import { brokenText, HALF_A_CHARACTER } from '@fleam/contract/well-formed'
import type { PriceIssue, PriceListContext, PriceMapping } from '@fleam/core/price-lists'
import { goodLines, readPriceList } from '@fleam/core/price-lists'
import type { z } from 'zod'

export interface PriceListRequest {
  /** The body of a request as it came, or a list that was fetched. */
  list: Uint8Array | z.infer<typeof priceListBody>
  /** What its rows are read against. */
  context: PriceListContext
}

/**
 * A list that was read, its lines as JSON texts of so many lines each: whoever takes them apart does other things
 * between. Or why it cannot be taken in: as a whole, or by row.
 */
export type PriceListRead =
  | { mapping: PriceMapping; takes: 'all' | 'good'; suppliers: string[]; slices: string[]; skipped: PriceIssue[] }
  | { code: 'not-json' | 'invalid-input'; issues: Problem['issues']; detail: string }
  | { code: 'price-list-wrong'; rows: PriceIssue[] }

const LINES_A_SLICE = 250

/** Reads a price list whole, from the bytes that came to lines of the price book. */
export function readSentPriceList({ list, context }: PriceListRequest): PriceListRead {
  const body = list instanceof Uint8Array ? bodyOf(list) : list
  if ('code' in body) return body
  const { mapping, takes } = body
  const read = readPriceList(body.csv, mapping, context)
  const lines = goodLines(read)
  const isTaken = read.issues.length === 0 || (takes === 'good' && read.isWhole && lines.length > 0)
  if (!isTaken) return { code: 'price-list-wrong', rows: read.issues }
  const slices: string[] = []
  for (let from = 0; from < lines.length; from += LINES_A_SLICE) {
    slices.push(JSON.stringify(lines.slice(from, from + LINES_A_SLICE)))
  }
  const suppliers = [...new Set(lines.map((line) => line.supplier))]
  return { mapping, takes, suppliers, slices, skipped: read.issues }
}

function bodyOf(bytes: Uint8Array) {
  let parsed: unknown
  try {
    parsed = JSON.parse(new TextDecoder().decode(bytes))
  } catch (error) {
    return { code: 'not-json' as const, issues: [], detail: (error as Error).message }
  }
  const read = priceListBody.safeParse(parsed)
  if (!read.success) {
    const issues = issuesOf(read.error)
    const detail = issues.map(({ path, message }) => `${path} ${message}`)[0] ?? ''
    return { code: 'invalid-input' as const, issues, detail }
  }
  const path = brokenText(read.data)
  if (path === null) return read.data
  const message = HALF_A_CHARACTER
  return { code: 'invalid-input' as const, issues: [{ path, message }], detail: `${path} ${message}` }
}
