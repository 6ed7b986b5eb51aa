import { constant, type Explanation, KILO, minus, over, plus, root, times, value } from '../explanation/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { RecordMoney } from './record-figures.ts'
import type { SpreadMean, SummaryFigures } from './summary.ts'
import type { Change } from './what-changed.ts'

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

/** The difference that a change is, as the mean of the last weeks less that of those before. */
export function explainChange({
  what,
  of,
  recent,
  before,
}: Omit<Change, 'key' | 'item' | 'attributions'>): Explanation {
  const quantity = what === 'minutes' ? 'minutes' : 'share'
  return {
    title: what === 'minutes' ? 'Minutes a unit, now less before' : 'Portion yield, now less before',
    quantity,
    expression: minus(
      value(`mean of ${recent.records} records of the last four weeks`, recent.mean, quantity),
      value(`mean of ${before.records} of the twelve before`, before.mean, quantity),
    ),
    note:
      of === 'style'
        ? 'By Welch’s test, held against all that was compared.'
        : 'Each record less the mean of its item and style. By Welch’s test, held against all that was compared.',
  }
}

/** What a change is worth a week; null for minutes. */
export function explainChangeMoney(change: Omit<Change, 'key' | 'item' | 'attributions'>): Explanation | null {
  if (change.moneyPerWeek === null) return null
  return {
    title: 'What it is worth a week',
    quantity: 'money',
    expression: times(
      value('difference', change.difference, 'share'),
      value('cut in a week', change.kilosPerWeek * GRAMS_PER_KILOGRAM, 'weight'),
      over(value('a kilo of portions', change.costPerKg, 'money-per-kg'), KILO),
    ),
  }
}

/** A group's mean against the others at the same item and style. */
export const explainAgainst = (mean: number): Explanation => ({
  title: 'Portion yield against the others',
  quantity: 'share',
  expression: value('mean of the differences', mean, 'share'),
  note: 'Each record less the mean of the same item and style by the others. Only what somebody else cuts too is compared.',
})
