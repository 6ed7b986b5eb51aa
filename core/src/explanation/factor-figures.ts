import { type Appraisal, type FactorReach, NEAR_ENOUGH } from '../appraisal/index.ts'
import type { FabricationDocument } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM, GRAMS_PER_POUND, type WeightSystem } from '../units/index.ts'
import { explain } from './explain.ts'
import { constant, minus, over, times, value } from './expression.ts'
import type { Explanation } from './figure-ref.ts'

/** A portion's cost factor for a price per kilo or per pound, as the kitchen buys; null where there is none. */
export function factorFigure(
  document: FabricationDocument,
  appraisal: Appraisal,
  pile: string,
  system: WeightSystem,
): Explanation | null {
  const perKilo = explain(document, appraisal, { group: 'pile', pile, figure: 'factorPerPortion' })
  if (!perKilo || system === 'metric') return perKilo
  const kilosToPounds = over(constant(GRAMS_PER_KILOGRAM), constant(GRAMS_PER_POUND))
  return { ...perKilo, expression: times(perKilo.expression, kilosToPounds) }
}

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
        value('factor', factorPerPortion, 'factor'),
        times(near, value('what a price of one adds to a portion', perPrice, 'factor')),
      ),
    ),
    note: 'Beyond it the factor is more than 2 % off the full sum.',
  }
}
