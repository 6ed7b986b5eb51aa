import Papa from 'papaparse'
import { type DataColumn, worthOf } from './columns.ts'

/** Rows as CSV (UTF-8, commas, a point in numbers), with the columns that are given, in their order. */
export function csvOf<Row>(columns: readonly DataColumn<Row>[], rows: readonly Row[]): string {
  const kept = columns.filter((column) => column.value !== null)
  const table = {
    fields: kept.map((column) => column.csvHeader ?? column.header),
    data: rows.map((row) => kept.map((column) => worthOf(column, row) ?? '')),
  }
  // A word that begins like a formula stays a word in whatever opens the file.
  return Papa.unparse(table, { escapeFormulae: true })
}

/** Hands a text to the browser as a file. */
export function download(name: string, text: string, type = 'text/csv'): void {
  const url = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }))
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
