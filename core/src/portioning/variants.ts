import type { PortionWish } from './plan.ts'
import { drawnIn, type PortionProduct } from './product.ts'

export interface PlanVariant {
  name: string
  /** What the planner is asked. */
  wish: PortionWish
  /** What its lines are judged by: its own products, at what they are really worth. */
  judgedBy: PortionWish
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
  const asked = (name: string, products: PortionProduct[]): PlanVariant => {
    const own = { ...wish, products }
    return { name, wish: own, judgedBy: own }
  }
  // Other plans leave the counts aside, and may be worth more for it.
  const isCounted = wish.products.some(({ max, min }) => max !== undefined || (min ?? 0) > 0)
  const byMoney = { name: isCounted ? 'most money, numbers kept' : 'most money', wish, judgedBy: wish }
  const mostPortions = { name: 'most portions', wish: countingPortions(wish), judgedBy: wish }
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
const countingPortions = (wish: PortionWish): PortionWish => ({
  ...wish,
  // Drawn in by their real targets: what may be served is another number once the target is.
  margin: 0,
  products: wish.products
    .map((product) => drawnIn(product, wish.margin ?? 0))
    .map((product) => ({
      ...product,
      target: product.low > 0 ? product.low : product.target,
      value: 1 + product.value * NEARLY_NOTHING,
    })),
  scrap: { ...wish.scrap, valuePerKg: wish.scrap.valuePerKg * NEARLY_NOTHING },
})
