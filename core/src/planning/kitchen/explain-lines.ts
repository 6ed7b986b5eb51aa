import { type Explanation, plus, times, value } from '../../explanation/index.ts'
import type { PlanCut } from '../order-plan.ts'
import type { CuttingLine, OrderOf } from './plan-lines.ts'

/** The formula of an order: packs times what one costs, and delivery. */
export const explainOrder = ({ lines, charge }: Pick<OrderOf, 'lines' | 'charge'>): Explanation => ({
  title: 'The order',
  quantity: 'money',
  expression: plus(
    ...lines.map(({ name, packs, price }) => times(value(name, packs, 'count'), value('each', price, 'money'))),
    ...(charge > 0 ? [value('delivery', charge, 'money')] : []),
  ),
})

/** The formula of what all orders of a plan come to; null where nothing is ordered. */
export const explainBill = (orders: readonly Pick<OrderOf, 'supplier' | 'money'>[]): Explanation | null =>
  orders.length === 0
    ? null
    : {
        title: 'Orders in all',
        quantity: 'money',
        expression: plus(...orders.map(({ supplier, money }) => value(supplier, money, 'money'))),
        note: 'What the invoices will say. The cost of the plan has labour and bags on top, and what is over taken off.',
      }

/** The formula of the minutes of what is cut on a day: each one's, and laying out and cleaning once. */
export const explainCutMinutes = (
  { units, unitName }: Pick<CuttingLine, 'units' | 'unitName'>,
  { minutes, setUp }: Pick<PlanCut, 'minutes' | 'setUp'>,
): Explanation => ({
  title: 'Minutes',
  quantity: 'minutes',
  expression: plus(
    times(value(unitName.many, units, 'count'), value('each', minutes, 'minutes')),
    value('set-up and cleaning', setUp, 'minutes'),
  ),
})

/** The formula of what is over: worth something, or paid to be taken away. */
export const explainLeft = (product: string, count: number, perOne: number, isWorth: boolean): Explanation => ({
  title: isWorth ? 'What is over is worth' : 'Thrown away',
  quantity: 'money',
  expression: times(value(product, count, 'count'), value('each', perOne, 'money')),
})
