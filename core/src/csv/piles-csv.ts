import Papa from 'papaparse'
import { type Appraisal, appraise } from '../appraisal/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { inert } from './inert.ts'

/** Columns of the CSV of piles and costs, units in the header. Decimal points, unrounded. */
function rowsOf(document: FabricationDocument, appraisal: Appraisal) {
  const money = document.currency
  return appraisal.piles.map((pile) => ({
    pile: pile.name,
    class: pile.class,
    'weight (g)': pile.weight,
    'share of AP': pile.share,
    [`credit (${money})`]: pile.credit,
    [`cost (${money})`]: pile.cost,
    [`cost (${money}/kg)`]: pile.costPerKg,
    portions: pile.portions,
    [`cost (${money}/portion)`]: pile.costPerPortion,
    'pieces below': pile.below,
    'pieces within': pile.within,
    'pieces above': pile.above,
    'mean (g)': pile.mean,
    'standard deviation (g)': pile.sd,
    [`given away (${money})`]: pile.givenAway,
  }))
}

/**
 * Piles and costs of a fabrication as RFC 4180 CSV with CRLF line ends.
 * Text cells that a spreadsheet would run as a formula are made safe with an apostrophe.
 */
export function pilesCsv(document: FabricationDocument): string {
  const rows = rowsOf(document, appraise(document)).map((row) =>
    Object.fromEntries(Object.entries(row).map(([key, cell]) => [key, typeof cell === 'string' ? inert(cell) : cell])),
  )
  return `${Papa.unparse(rows, { newline: '\r\n' })}\r\n`
}
