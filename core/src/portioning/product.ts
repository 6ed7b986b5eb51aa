import type { PortionProduct } from './plan-request.ts'

/**
 * A product with its bounds drawn in on both sides by a share of its target, as far as the target: a shape is never
 * known exactly, and what is planned at a bound lies half the time beyond it.
 */
export function drawnIn<P extends Pick<PortionProduct, 'low' | 'high' | 'target'>>(product: P, margin: number): P {
  const { low, high, target } = product
  const by = margin * target
  return {
    ...product,
    low: Math.min(low + by, Math.max(low, target)),
    high: Math.max(high - by, Math.min(high, target)),
  }
}

/** What a piece of a weight is worth: full at its target, less below it, nothing more above it. */
export function worthOf({ value, target, targetThickness }: PortionProduct, weight: number): number {
  return targetThickness !== undefined ? value : value * Math.min(1, weight / target)
}

/** More than this is drawn in by nobody: the API takes no more. */
const MAX_MARGIN = 0.2
/** At least so much of the way from the target to a bound stays for the planner to move in. */
const KEPT_FREE = 0.5

/**
 * How far to draw the bounds in while planning, as a share of the targets: as much as portions may be off, and no more
 * than leaves half the way from each target to its bounds.
 */
export function marginFor(products: readonly PortionProduct[], off: number): number {
  const ways = products.flatMap(({ target, low, high }) => [target - low, high - target].map((way) => way / target))
  const least = Math.min(...ways.filter((way) => way > 0))
  return Math.min(off, MAX_MARGIN, Number.isFinite(least) ? least * KEPT_FREE : 0)
}
