import type { ReactNode } from 'react'

/** What a cell is worth where lists are sorted, searched and exported; null where there is nothing. */
export type CellValue = string | number | null

export interface DataColumn<Row> {
  id: string
  /** What stands above it. */
  header: string
  /** What it is called in a CSV, with its unit; the header where nothing is said. */
  csvHeader?: string
  /** What a cell is worth; what throws counts as nothing. Null for a column of buttons, which no CSV has. */
  value: ((row: Row) => CellValue) | null
  /** As it is drawn; its worth where nothing is said. */
  cell?: (row: Row) => ReactNode
  /** Words that it is found by besides its worth, as a day is by how it is written. */
  words?: (row: Row) => string
  isNumber?: boolean
  /** The cell that names its row. */
  isRowHeader?: boolean
  /** Shown only to who asks for it. */
  isHiddenAtFirst?: boolean
}

/** What a cell is worth; null where it has no worth or where a row is so odd that it cannot be worked out. */
export function worthOf<Row>({ value }: DataColumn<Row>, row: Row): CellValue {
  try {
    return value?.(row) ?? null
  } catch {
    return null
  }
}

const collator = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' })

/** Numbers by their size, words as they are read, numbers in them by their size too. */
export function compareValues(a: CellValue, b: CellValue): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b
  return collator.compare(String(a ?? ''), String(b ?? ''))
}

const textOf = <Row>(column: DataColumn<Row>, row: Row): string => {
  const value = worthOf(column, row)
  let words = ''
  try {
    words = column.words?.(row) ?? ''
  } catch {
    // A row that is too odd for its words is still found by the others.
  }
  return `${value ?? ''} ${words}`.toLowerCase()
}

/** Every word of what is looked for stands in some column of the row. */
export function isFound<Row>(columns: readonly DataColumn<Row>[], row: Row, sought: string): boolean {
  const text = columns.map((column) => textOf(column, row)).join(' ')
  return sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word))
}
