import type { PortionWish } from './plan.ts'
import type { PortionProduct } from './product.ts'

export interface PlanVariant {
  name: string
  /** What the planner is asked; its lines are judged by the wish that it varies. */
  wish: PortionWish
}

/** Weighs against one portion more as next to nothing: it only parts plans of as many portions. */
const NEARLY_NOTHING = 1e-4

/**
 * Ways to cut the same piece that a cook would weigh against each other, four at most: what brings most money, the
 * dearest product alone, it beside a roast or whatever else there is, and as many portions as there can be. Where there
 * is one product only, it is cut thick, none under its target, instead of beside another.
 */
export function planVariants(wish: PortionWish): PlanVariant[] {
  const [main, ...others] = [...wish.products].sort((a, b) => b.value / b.target - a.value / a.target)
  if (!main) return []
  const byMoney = { name: 'most money', wish }
  const mostPortions = { name: 'most portions', wish: countingPortions(wish) }
  // What is wanted so many times at most, a roast, is what a cook would not cut every piece into.
  const beside = others.find(({ max }) => max !== undefined) ?? others[0]
  if (!beside) {
    const thick = { ...wish, products: [{ ...main, low: main.target }] }
    return [byMoney, { name: `no ${main.name} under its target`, wish: thick }, mostPortions]
  }
  const both = [free(main), { ...beside, min: Math.max(1, beside.min ?? 0) }]
  return [
    byMoney,
    { name: `only ${main.name}`, wish: { ...wish, products: [free(main)] } },
    { name: `${beside.name} and ${main.name}`, wish: { ...wish, products: both } },
    mostPortions,
  ]
}

/** A product without its counts. */
const free = ({ max: _max, min: _min, ...product }: PortionProduct): PortionProduct => product

/** Every portion is worth the same as soon as it may be served; money parts only what is equal then. */
const countingPortions = (wish: PortionWish): PortionWish => ({
  ...wish,
  products: wish.products.map((product) => ({
    ...product,
    target: product.low > 0 ? product.low : product.target,
    value: 1 + product.value * NEARLY_NOTHING,
  })),
  scrap: { ...wish.scrap, valuePerKg: wish.scrap.valuePerKg * NEARLY_NOTHING },
})
