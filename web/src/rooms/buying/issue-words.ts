import type { PriceIssue, PriceIssueCode } from '@fleam/contract'

const WORDS: Readonly<Record<PriceIssueCode, string>> = {
  unreadable: 'is no whole list: a quote is opened and not closed',
  'too-many-columns': 'has more than 200 columns: this is another kind of file',
  'too-many-rows': 'has more than 100,000 rows',
  'header-twice': 'heads two columns',
  'no-such-column': 'is no column of this file',
  'column-missing': 'is needed: say which column holds it, or what it is for every row',
  'no-rows': 'There is nothing to take in.',
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

/** What is wrong with a cell, as a sentence: `Row 3, price: “-3” is less than nothing`. */
export function issueWords({ row, column, code, cell }: PriceIssue): string {
  const what = cell === '' ? '' : `“${cell}” `
  const where = column === '' ? `Row ${row}` : `Row ${row}, ${column}`
  return `${where}: ${what}${WORDS[code]}`
}
