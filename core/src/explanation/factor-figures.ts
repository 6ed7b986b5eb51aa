import { type FactorReach, NEAR_ENOUGH } from '../appraisal/index.ts'
import { constant, minus, over, times, value } from './expression.ts'
import type { Explanation } from './figure-ref.ts'

/** The AP price per kilo at which a factor is just as far off as it may be, at one end of its reach. */
export function reachFigure(
  { factorPerPortion, fixed, perPrice, from, to }: FactorReach,
  end: 'from' | 'to',
): Explanation | null {
  const price = end === 'from' ? from : to
  if (price === null || price <= 0) return null
  const off = (near: number) => Math.abs(near * (fixed + perPrice * price) - factorPerPortion * price)
  const near = constant(off(1 + NEAR_ENOUGH) < off(1 - NEAR_ENOUGH) ? 1 + NEAR_ENOUGH : 1 - NEAR_ENOUGH)
  return {
    title: end === 'from' ? 'The factor holds from' : 'The factor holds up to',
    quantity: 'money-per-kg',
    expression: over(
      times(near, value('a portion if the purchase cost nothing', fixed, 'money')),
      minus(
        value('factor', factorPerPortion, 'factor-per-kg'),
        times(near, value('what a price of one adds to a portion', perPrice, 'factor-per-kg')),
      ),
    ),
    note: 'Beyond it the factor is more than 2 % off the full sum.',
  }
}
