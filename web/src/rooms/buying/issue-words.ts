import type { PriceIssue, PriceIssueCode } from '@fleam/core/price-lists'

const WORDS: Readonly<Record<PriceIssueCode, string>> = {
  unreadable: 'is no whole list: a quote is opened and not closed',
  'too-many-columns': 'has more than 200 columns: this is another kind of file',
  'too-many-rows': 'has more than 100,000 rows',
  'header-twice': 'heads two columns',
  'no-such-column': 'is no column of this file',
  'column-missing': 'is needed: say which column holds it, or what it is for every row',
  'no-rows': 'has no rows',
  empty: 'is empty',
  'too-long': 'is longer than 120 characters',
  'wrong-encoding': 'has letters that were lost when the file was saved: save it as UTF-8',
  formula: 'begins like a formula',
  'not-a-number': 'is no number',
  negative: 'is less than nothing',
  'out-of-range': 'is out of its range',
  'other-currency': 'is in another currency than this kitchen',
  'unknown-unit': 'is no unit: kg, lb, piece, case or lot',
  'unknown-kind': 'must be whole or ready',
  'unknown-item': 'is no item of this kitchen',
  'unknown-product': 'is no product of this kitchen',
  'not-a-weight': 'is no weight',
  'not-a-date': 'is no day, or could be two: write it like 2026-11-24',
  'ends-before': 'ends before it begins',
  overlap: 'holds on the same days as another price of this article',
}

const OF_LIST: ReadonlySet<PriceIssueCode> = new Set([
  'unreadable',
  'too-many-columns',
  'too-many-rows',
  'header-twice',
  'no-such-column',
  'column-missing',
  'no-rows',
])

/** What is wrong with the list itself, and with no row of it. */
export const isOfWholeList = ({ code, row }: PriceIssue): boolean =>
  OF_LIST.has(code) || (code === 'too-long' && row === 1)

/** What is wrong with a cell, without where: `price: “-3” is less than nothing`. */
export const cellIssueWords = ({ column, code, cell }: PriceIssue): string =>
  `${column}: ${cell === '' ? '' : `“${cell}” `}${WORDS[code]}`

/** What is wrong with a cell, as a sentence: `Row 3, price: “-3” is less than nothing`. */
export function issueWords({ row, column, code, cell }: PriceIssue): string {
  const what = cell === '' ? '' : `“${cell}” `
  if (isOfWholeList({ row, column, code, cell })) {
    return column === '' ? `The file ${WORDS[code]}` : `${column}: ${WORDS[code]}`
  }
  const where = column === '' ? `Row ${row}` : `Row ${row}, ${column}`
  return `${where}: ${what}${WORDS[code]}`
}
