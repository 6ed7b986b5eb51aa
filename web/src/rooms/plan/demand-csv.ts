import { parseDay } from '@fleam/core/calendar'
import { parseNumber } from '@fleam/core/units'
import Papa from 'papaparse'

export interface DemandLine {
  productId: string
  day: string
  quantity: number
}

export interface DemandRead {
  lines: DemandLine[]
  /** What is wrong, by its row; then nothing is taken. */
  issues: { row: number; column: 'product' | 'day' | 'portions'; words: string }[]
}

/** Demand from a list of three columns: product, day, portions. A row of headings is left out. */
export function readDemand(
  text: string,
  products: readonly { id: string; name: string }[],
  days: readonly string[],
): DemandRead {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' }).data
  const idByName = new Map(products.map(({ id, name }) => [name.toLowerCase(), id]))
  const read: DemandRead = { lines: [], issues: [] }
  rows.forEach(([product = '', day = '', portions = ''], index) => {
    const row = index + 1
    const date = parseDay(day)
    const quantity = parseNumber(portions)
    if (index === 0 && date === null && quantity === null) return
    const productId = idByName.get(product.trim().toLowerCase())
    const refuse = (column: DemandRead['issues'][number]['column'], words: string) =>
      read.issues.push({ row, column, words })
    if (productId === undefined) refuse('product', `“${product}” is no product of this kitchen.`)
    if (date === null) refuse('day', `“${day}” is no day.`)
    else if (!days.includes(date)) refuse('day', `“${day}” is none of the days of this plan.`)
    if (quantity === null || quantity < 0) refuse('portions', `“${portions}” is no number of portions.`)
    if (productId === undefined || date === null || quantity === null) return
    const twice = read.lines.find((line) => line.productId === productId && line.day === date)
    if (twice) twice.quantity += quantity
    else read.lines.push({ productId, day: date, quantity })
  })
  return read.issues.length > 0 ? { lines: [], issues: read.issues } : read
}
