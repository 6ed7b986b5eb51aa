import Papa from 'papaparse'
import { overlaps } from '../buying/index.ts'
import type { PriceListLine } from './article.ts'
import { PRICE_COLUMNS, type PriceColumn, type PriceMapping } from './columns.ts'
import { type PriceIssue, type PriceIssueCode, type PriceListContext, RowReader } from './row.ts'

export interface NumberedLine extends PriceListLine {
  row: number
}

export interface PriceList {
  lines: NumberedLine[]
  issues: PriceIssue[]
  /** Every row was looked at. False where the file itself is not right, or too much of it is wrong to go on. */
  isWhole: boolean
}

const MAX_COLUMNS = 200
const MAX_ROWS = 100_000
/** After so many issues a list is not read on: it is another kind of file. */
const MAX_ISSUES = 2_000

export interface PriceTable {
  headers: string[]
  rows: string[][]
  issues: PriceIssue[]
}

const tableIssue = (code: PriceIssueCode, column = '', cell = ''): PriceTable => ({
  headers: [],
  rows: [],
  issues: [{ row: 1, column, code, cell }],
})

/** The cells of a CSV file, the separator found by itself; empty lines are passed over. `most` rows are read. */
export function readTable(text: string, most = MAX_ROWS): PriceTable {
  const { firstLine, separator } = sniff(text)
  if (firstLine.split(separator).length > MAX_COLUMNS) return tableIssue('too-many-columns')
  // Told before the text is taken apart: that of a line without an end takes long.
  if (hasEndlessLine(text)) return tableIssue('too-long')
  const parsed = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), {
    delimiter: separator,
    preview: most + 2,
    skipEmptyLines: false,
  })
  if (parsed.errors.some((error) => error.type === 'Quotes')) return tableIssue('unreadable')
  const [header, ...rows] = parsed.data
  if (!header || header.every((cell) => cell.trim() === '')) return tableIssue('no-rows')
  const headers = header.map((cell) => cell.trim())
  const twice = headers.find((header, index) => header !== '' && headers.indexOf(header) !== index)
  if (twice !== undefined) return tableIssue('header-twice', twice, twice)
  if (most === MAX_ROWS && rows.length > MAX_ROWS) return tableIssue('too-many-rows')
  return { headers, rows, issues: [] }
}

/** Characters of one line: beyond them it is another kind of file. */
const MAX_OF_LINE = 200_000

function hasEndlessLine(text: string): boolean {
  for (let from = 0; from < text.length; ) {
    const end = text.indexOf('\n', from)
    const to = end < 0 ? text.length : end
    if (to - from > MAX_OF_LINE) return true
    from = to + 1
  }
  return false
}

const SEPARATORS = [';', '\t', ',', '|']

function sniff(text: string): { firstLine: string; separator: string } {
  const end = text.search(/[\r\n]/)
  const firstLine = end < 0 ? text : text.slice(0, end)
  const counts = SEPARATORS.map((separator) => firstLine.split(separator).length)
  return { firstLine, separator: SEPARATORS[counts.indexOf(Math.max(...counts))] as string }
}

const REQUIRED: readonly PriceColumn[] = ['name', 'amount', 'per']

/**
 * Reads a price list some rows at a time, so that whoever reads a long one can do other things between:
 * every line that can be read, and everything that is wrong by row and column.
 */
export class PriceListReading {
  readonly #mapping: PriceMapping
  readonly #context: PriceListContext
  readonly #rows: readonly string[][]
  readonly #at: Partial<Record<PriceColumn, number>>
  readonly #lines: NumberedLine[] = []
  readonly #issues: PriceIssue[] = []
  #done = 0

  constructor(text: string, mapping: PriceMapping, context: PriceListContext) {
    const table = readTable(text)
    const places = table.issues.length > 0 ? { issues: table.issues } : placesOf(table.headers, mapping)
    const isUnread = 'issues' in places
    this.#mapping = mapping
    this.#context = context
    this.#rows = isUnread ? [] : table.rows
    this.#at = isUnread ? {} : places.at
    if (isUnread) this.#issues.push(...places.issues)
  }

  get isDone(): boolean {
    return this.#done >= this.#rows.length || this.#issues.length >= MAX_ISSUES
  }

  /** Reads so many more rows. */
  step(count: number): void {
    const end = Math.min(this.#rows.length, this.#done + count)
    for (; this.#done < end && this.#issues.length < MAX_ISSUES; this.#done++) {
      const cells = this.#rows[this.#done] as string[]
      if (cells.every((cell) => cell.trim() === '')) continue
      // The header is row 1, as a spreadsheet counts.
      const row = this.#done + 2
      const reader = new RowReader(cells, row, this.#at, this.#mapping, this.#context)
      const line = reader.line()
      this.#issues.push(...reader.issues)
      if (reader.issues.length === 0) this.#lines.push({ ...line, row })
    }
  }

  result(): PriceList {
    const isEmpty = this.#lines.length === 0 && this.#issues.length === 0
    const empty: PriceIssue[] = isEmpty ? [{ row: 2, column: '', code: 'no-rows', cell: '' }] : []
    return {
      lines: this.#lines,
      issues: [...this.#issues, ...empty, ...contradictions(this.#lines, this.#mapping)],
      isWhole: this.#rows.length > 0 && this.#done >= this.#rows.length,
    }
  }
}

/** The lines of a list that nothing is wrong with. */
export function goodLines({ lines, issues }: PriceList): NumberedLine[] {
  const bad = new Set(issues.map(({ row }) => row))
  return lines.filter(({ row }) => !bad.has(row))
}

/** Reads a price list whole. */
export function readPriceList(text: string, mapping: PriceMapping, context: PriceListContext): PriceList {
  const reading = new PriceListReading(text, mapping, context)
  reading.step(MAX_ROWS)
  return reading.result()
}

type Places = { at: Partial<Record<PriceColumn, number>> } | { issues: PriceIssue[] }

function placesOf(headers: readonly string[], mapping: PriceMapping): Places {
  const at: Partial<Record<PriceColumn, number>> = {}
  const issues: PriceIssue[] = []
  for (const [column, header] of Object.entries(mapping.columns) as [PriceColumn, string | null | undefined][]) {
    if (header === null || header === undefined) continue
    const place = headers.indexOf(header)
    if (place < 0) issues.push({ row: 1, column: header, code: 'no-such-column', cell: header })
    else at[column] = place
  }
  for (const column of REQUIRED) {
    if (at[column] === undefined)
      issues.push({ row: 1, column: PRICE_COLUMNS[column], code: 'column-missing', cell: '' })
  }
  if (at.supplier === undefined && mapping.supplier === null) {
    issues.push({ row: 1, column: PRICE_COLUMNS.supplier, code: 'column-missing', cell: '' })
  }
  return issues.length > 0 ? { issues } : { at }
}

/** Rows of one article whose prices hold on the same days. */
function contradictions(lines: readonly NumberedLine[], mapping: PriceMapping): PriceIssue[] {
  const byArticle = new Map<string, NumberedLine[]>()
  for (const line of lines) {
    const key = `${line.supplier}\n${line.code}`
    const group = byArticle.get(key)
    if (group) group.push(line)
    else byArticle.set(key, [line])
  }
  const column = mapping.columns.from ?? PRICE_COLUMNS.from
  return [...byArticle.values()].flatMap((group) => {
    const sorted = [...group].sort((a, b) => a.from.localeCompare(b.from) || a.row - b.row)
    return sorted.flatMap((line, index): PriceIssue[] => {
      const before = sorted[index - 1]
      return before && overlaps(before, line) ? [{ row: line.row, column, code: 'overlap', cell: line.from }] : []
    })
  })
}
