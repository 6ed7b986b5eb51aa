import type { PlannedPile } from '../fabrication/index.ts'
import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { PortionProduct } from './plan-request.ts'

/** Bounds of a portion where nobody set any: a tenth either way. */
const USUAL_LEEWAY = 0.1

/**
 * The portions that a fabrication wants by the piece, as products of the planner. Thickness and face are
 * those of the usual product of the same name. Where the kitchen has said no value, a gram is worth what it
 * is worth in the dearest usual product: portions go before scrap.
 */
export function productsOfPiles(piles: readonly PlannedPile[], usual: readonly PortionProduct[]): PortionProduct[] {
  const dearestGram = Math.max(0, ...usual.map((product) => product.value / product.target))
  return piles.flatMap(({ name, class: of, weighing, target, low, high, valuePerKg }) => {
    if (of !== 'primary' || weighing !== 'pieces' || target === null || target <= 0) return []
    const { minThickness, minFace } = usual.find((product) => product.name === name) ?? {}
    const perGram = valuePerKg === null ? dearestGram : valuePerKg / GRAMS_PER_KILOGRAM
    return {
      name,
      target,
      low: low ?? target * (1 - USUAL_LEEWAY),
      high: high ?? target * (1 + USUAL_LEEWAY),
      minThickness,
      minFace,
      value: perGram * target,
    }
  })
}
