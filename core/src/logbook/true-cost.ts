import { ratio } from '../costing/index.ts'
import { type Explanation, KILO, over, times, value } from '../explanation/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'

/** Counted records, summed: net cost in money, weight of portions in grams. */
export interface CostSums {
  records: number
  spent: number
  primaryWeight: number
}

/** What a kilo of portions really cost, over many records: net cost ÷ weight of portions. Null without portions. */
export const trueCostPerKg = ({ spent, primaryWeight }: CostSums): number | null =>
  ratio(spent, primaryWeight / GRAMS_PER_KILOGRAM)

/** Opens to how it is worked out. */
export function explainRecordsCost(title: string, sums: CostSums): Explanation | null {
  if (trueCostPerKg(sums) === null) return null
  return {
    title,
    quantity: 'money-per-kg',
    expression: times(
      over(
        value(`net cost of ${sums.records} ${sums.records === 1 ? 'record' : 'records'}`, sums.spent, 'money'),
        value('portions', sums.primaryWeight, 'weight'),
      ),
      KILO,
    ),
    note: 'By-products credited, labour in: what a kilo on the plate cost, whatever its price was.',
  }
}
