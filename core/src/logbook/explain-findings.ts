import { type Explanation, KILO, minus, over, times, value } from '../explanation/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { Improvement, Practice } from './learning.ts'

/** How far a cook has come, by the fitted curve. */
export function explainImprovement({
  what,
  first,
  last,
  records,
  units,
}: Omit<Improvement, 'cook' | 'item' | 'style'>): Explanation {
  const quantity = what === 'minutes' ? 'minutes' : 'share'
  return {
    title: what === 'minutes' ? 'Minutes a unit, now less at first' : 'Portion yield, now less at first',
    quantity,
    expression: minus(value('by the curve at the last record', last, quantity), value('at the first', first, quantity)),
    note: `Fitted through ${records} records, ${units} cut. Steeper than chance would make it in nine of ten cases.`,
  }
}

/** What the yield of the others would bring a cook's work in a week. */
export function explainPractice(practice: Omit<Practice, 'cook' | 'item' | 'style'>): Explanation {
  return {
    title: 'What practice would bring a week',
    quantity: 'money',
    expression: times(
      minus(
        value(`mean yield of ${practice.othersRecords} records of the others`, practice.house, 'share'),
        value(`of ${practice.records} own ones`, practice.own, 'share'),
      ),
      value('cut in a week', practice.kilosPerWeek * GRAMS_PER_KILOGRAM, 'weight'),
      over(value('a kilo of portions', practice.costPerKg, 'money-per-kg'), KILO),
    ),
  }
}

/** What a week lost more than weeks that spent as much usually do. */
export const explainOddWeek = (amount: number, usual: number): Explanation => ({
  title: 'More than usual',
  quantity: 'money',
  expression: minus(value('lost in that week', amount, 'money'), value('usually, of as much spent', usual, 'money')),
  note: 'Usual is the middle of all weeks, as a share of what was spent.',
})

/** A difference of two means of money of one portion. */
export const explainPortionMoney = (title: string, now: number, before: number): Explanation => ({
  title,
  quantity: 'money',
  expression: minus(value('mean of these records', now, 'money'), value('of those before', before, 'money')),
})
