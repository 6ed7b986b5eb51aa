import { constant, type Explanation, over, value } from '../explanation/index.ts'

/** Portion yield of one record, from what stands in its row. Grams as purchased. */
export const explainRecordYield = (portionYield: number, ap: number): Explanation => ({
  title: 'Portion yield',
  quantity: 'share',
  expression: over(value('portions', portionYield * ap, 'weight'), value('paid for', ap, 'weight')),
  note: 'Pile by pile it opens in its verdict.',
})

/** Minutes a unit of one record. */
export const explainRecordMinutes = (minutesPerUnit: number, units: number): Explanation => ({
  title: 'Minutes a unit',
  quantity: 'minutes',
  expression: over(value('minutes in all', minutesPerUnit * units, 'minutes'), constant(units)),
})
