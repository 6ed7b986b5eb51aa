import Papa from 'papaparse'
import { inert } from '../csv/index.ts'
import type { PriceListLine } from './article.ts'
import { PRICE_COLUMN_NAMES, PRICE_COLUMNS, type PriceColumn } from './columns.ts'

const cellsOf = (line: PriceListLine): Record<PriceColumn, string | number | null> => ({
  supplier: line.supplier,
  code: line.code,
  name: line.name,
  kind: line.kind,
  item: line.item,
  product: line.product,
  amount: line.price.amount,
  per: line.price.per,
  pieceWeight: gramsCell(line.pieceWeight),
  packPieces: line.packPieces,
  packWeight: gramsCell(line.packWeight),
  usableShare: line.usableShare,
  handlingMinutesPerPiece: line.handlingMinutesPerPiece,
  delivery: line.delivery,
  minimumOrder: line.minimumOrder,
  from: line.from,
  until: line.until,
})

const gramsCell = (grams: number | null) => (grams === null ? null : `${grams} g`)

/** Prices as CSV in the columns of the template: what is exported here is imported as it was. CRLF line ends. */
export function priceListCsv(lines: readonly PriceListLine[]): string {
  const rows = lines.map((line) => {
    const cells = cellsOf(line)
    return PRICE_COLUMN_NAMES.map((column) => {
      const cell = cells[column]
      return typeof cell === 'string' ? inert(cell) : (cell ?? '')
    })
  })
  const fields = PRICE_COLUMN_NAMES.map((column) => PRICE_COLUMNS[column])
  return `${Papa.unparse({ fields, data: rows }, { newline: '\r\n' })}\r\n`
}
