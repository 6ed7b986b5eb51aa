import type { PortionProduct, PortionRequest } from './plan-request.ts'
import { drawnIn } from './product.ts'

export interface PlanVariant {
  name: string
  /** What the planner is asked. */
  request: PortionRequest
  /** What its lines are judged by: its own products, at what they are really worth. */
  judgedBy: PortionRequest
}

/** Weighs against one portion more as next to nothing: it only parts plans of as many portions. */
const NEARLY_NOTHING = 1e-4

/**
 * Ways to cut the same piece that a cook would weigh against each other, four at most: what brings most money, the
 * dearest product alone, it beside a roast or whatever else there is, and as many portions as there can be. Where there
 * is one product only, it is cut thick, none under its target, instead of beside another.
 */
export function planVariants(request: PortionRequest): PlanVariant[] {
  const [main, ...others] = [...request.products].sort((a, b) => b.value / b.target - a.value / a.target)
  if (!main) return []
  const asked = (name: string, products: PortionProduct[]): PlanVariant => {
    const variant = { ...request, products }
    return { name, request: variant, judgedBy: variant }
  }
  // Other plans leave the counts aside, and may be worth more for it.
  const isCounted = request.products.some(({ max, min }) => max !== undefined || (min ?? 0) > 0)
  const byMoney = { name: isCounted ? 'most money, numbers kept' : 'most money', request, judgedBy: request }
  const mostPortions = { name: 'most portions', request: countingPortions(request), judgedBy: request }
  // What is wanted so many times at most, a roast, is what a cook would not cut every piece into.
  const beside = others.find(({ max }) => max !== undefined) ?? others[0]
  if (!beside) {
    const thick = [{ ...main, low: main.target }]
    return [byMoney, asked(`no ${main.name} under its target`, thick), mostPortions]
  }
  const both = [free(main), { ...beside, min: Math.max(1, beside.min ?? 0) }]
  return [
    byMoney,
    asked(`only ${main.name}`, [free(main)]),
    asked(`${beside.name} and ${main.name}`, both),
    mostPortions,
  ]
}

/** A product without its counts. */
const free = ({ max: _max, min: _min, ...product }: PortionProduct): PortionProduct => product

/** Every portion is worth the same as soon as it may be served; money parts only what is equal then. */
const countingPortions = (request: PortionRequest): PortionRequest => ({
  ...request,
  // Drawn in by their real targets: what may be served is another number once the target is.
  margin: 0,
  products: request.products
    .map((product) => drawnIn(product, request.margin ?? 0))
    .map((product) => ({
      ...product,
      target: product.low > 0 ? product.low : product.target,
      value: 1 + product.value * NEARLY_NOTHING,
    })),
  scrap: { ...request.scrap, valuePerKg: request.scrap.valuePerKg * NEARLY_NOTHING },
})
