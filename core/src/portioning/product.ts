/** Something that may be cut from a piece. Weights in grams, thicknesses and faces in mm, value in money. */
export interface PortionProduct {
  name: string
  /** Weight at which a piece is worth all of `value`. */
  target: number
  low: number
  high: number
  minThickness?: number | undefined
  maxThickness?: number | undefined
  minFace?: number | undefined
  /** Cut by thickness: every piece is so thick, to the nearest step, and its weight is what comes out. */
  targetThickness?: number | undefined
  value: number
  max?: number | undefined
  min?: number | undefined
  /** Lies only between these places, mm: a tail, a centre. */
  within?: readonly [number, number] | undefined
  /** Folded once: two lengths lie on each other, so that it is half as long and twice as thick. */
  folded?: boolean | undefined
}

export interface ScrapRequest {
  name?: string | undefined
  valuePerKg: number
  /** At least so many grams of it are wanted. */
  atLeast?: number | undefined
  /** Where it may lie: at the two ends, and where a place of a product makes it; anywhere where not said. */
  where?: 'ends' | 'anywhere' | undefined
}

export interface PlanRules {
  /** No part of the scrap is thinner, mm. */
  minScrap: number
  /** Lost after every piece of a product, mm: nothing for a knife, one or two for a saw. */
  kerf: number
  /** Cuts lie on multiples of it, mm, above zero. */
  step: number
}

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

export const DEFAULT_PLAN_RULES: PlanRules = { minScrap: 10, kerf: 0, step: 1 }

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
