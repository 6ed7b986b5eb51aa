import { constant, type Explanation, minus, over, plus, root, times, value } from '../explanation/index.ts'
import type { RecordMoney } from './record-figures.ts'
import type { SpreadMean, SummaryFigures } from './summary.ts'

const VIEW_TITLES: Readonly<Record<keyof RecordMoney, string>> = {
  spent: 'Spent, by-products credited',
  saved: 'What cutting it ourselves brought',
  givenAway: 'Overweight cost',
  waste: 'Cost of waste',
  unused: 'By-products nobody used',
  demoted: 'Pieces too light to serve',
  unaccounted: 'Cost of what nobody found again',
}

const VIEW_NOTES: Readonly<Partial<Record<keyof RecordMoney, string>>> = {
  saved: 'Against the cheapest offer at equal weight, over the piles that have one.',
  givenAway: 'Lies within what was saved, and is not added to it.',
  demoted: 'Lies within what was saved, and is not added to it.',
  waste: 'At the price paid for it.',
  unused: 'At what they are worth after processing.',
  unaccounted: 'At the price paid for it.',
}

/** A view of money as the sum of what each group has in it. */
export function explainMoneyView(
  view: keyof RecordMoney,
  groups: readonly (Pick<SummaryFigures, 'records' | 'money'> & { name: string | null })[],
): Explanation {
  const note = VIEW_NOTES[view]
  return {
    title: VIEW_TITLES[view],
    quantity: 'money',
    expression: plus(
      ...groups.map(({ name, records, money }) =>
        value(`${name ?? 'others'}, ${records} ${records === 1 ? 'record' : 'records'}`, money[view], 'money'),
      ),
    ),
    ...(note ? { note } : {}),
  }
}

/** A mean over records, each of which counts once. */
export function explainMean(title: string, mean: number, records: number, quantity: 'share' | 'minutes'): Explanation {
  return {
    title,
    quantity,
    expression: over(value(`of ${records} records, added up`, mean * records, quantity), constant(records)),
    note: 'Each record counts once, however large it is.',
  }
}

/** An end of the interval in which a mean lies in nineteen of twenty cases. Null below two records. */
export function explainEnd(
  title: string,
  { mean, sd, low, high }: SpreadMean,
  records: number,
  end: 'low' | 'high',
  quantity: 'share' | 'minutes',
): Explanation | null {
  if (mean === null || sd === null || low === null || high === null) return null
  const reach = (high - low) / 2
  const t = sd === 0 ? 0 : (reach * Math.sqrt(records)) / sd
  const half = times(constant(t), over(value('spread of the records', sd, quantity), root(constant(records))))
  const middle = value('mean', mean, quantity)
  return {
    title,
    quantity,
    expression: end === 'low' ? minus(middle, half) : plus(middle, half),
    note: `In nineteen of twenty cases the true mean lies inside. ${records} records.`,
  }
}
