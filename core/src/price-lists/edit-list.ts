import Papa from 'papaparse'
import { readTable } from './read-list.ts'

const DELIMITER = ';'

/** What a list is, so many rows of it, as a file of its own: the header stays row 1. Rows are those of the list. */
export function rowsOfList(csv: string, rows: ReadonlySet<number>): string {
  const { headers, rows: cells } = readTable(csv)
  const kept = cells.filter((_cells, index) => rows.has(index + 2))
  return Papa.unparse({ fields: headers, data: kept }, { delimiter: DELIMITER })
}

/** A list with one cell written anew, by its row (the header is row 1) and header. */
export function withCell(csv: string, row: number, header: string, cell: string): string {
  const { headers, rows } = readTable(csv)
  const column = headers.indexOf(header)
  const data = rows.map((cells, index) => {
    if (index + 2 !== row || column < 0) return cells
    const whole = headers.map((_header, place) => cells[place] ?? '')
    return whole.with(column, cell)
  })
  return Papa.unparse({ fields: headers, data }, { delimiter: DELIMITER })
}
