import { type Explanation, plus, value } from '../explanation/index.ts'
import { normalShare } from '../statistics/index.ts'
import type { JudgedPart } from './judge.ts'
import type { PortionProduct } from './plan-request.ts'

/** How likely a portion that is planned at a weight ends within the bounds of its product, 0 to 1. */
export function shareWithin(
  { weight }: Pick<JudgedPart, 'weight'>,
  { low, high }: Pick<PortionProduct, 'low' | 'high'>,
  off: number,
): number {
  const sd = weight * off
  if (sd <= 0) return weight >= low && weight <= high ? 1 : 0
  return normalShare((high - weight) / sd) - normalShare((low - weight) / sd)
}

/**
 * How many of the portions between the lines are expected within bounds. `off` is how far a portion may be from what is
 * planned, as a share: one standard deviation of a bell curve. Null where there is no portion.
 */
export function explainWithin(
  parts: readonly JudgedPart[],
  products: readonly PortionProduct[],
  off: number,
): Explanation | null {
  const portions = parts.flatMap((part) => {
    const product = products.find(({ name }) => name === part.product)
    return product ? [{ part, product }] : []
  })
  if (portions.length === 0) return null
  return {
    title: 'Expected within bounds',
    quantity: 'count',
    expression: plus(
      ...portions.map(({ part, product }, index) =>
        value(`${product.name} ${index + 1}, how likely`, shareWithin(part, product, off), 'share'),
      ),
    ),
    note: 'Each portion by how far from its bounds it is planned, and how far off portions may be.',
  }
}
