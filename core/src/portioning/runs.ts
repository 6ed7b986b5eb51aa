import { bestCuts, type CountBound, type Cut, type CutGraph, stateCount } from './best-cuts.ts'
import type { PortionProduct, Together } from './plan-request.ts'
import { MAX_CHANGES, plansOfRuns } from './plans-of-runs.ts'
import type { Shape } from './profile.ts'

export interface TogetherCuts {
  cuts: readonly Cut[]
  /** How often a product begins again after another one along the piece. */
  splits: number
  /** Widest difference of thickness within one product, mm. */
  thicknessApart: number
}

interface TogetherContext {
  graph: CutGraph
  shape: Shape
  products: readonly PortionProduct[]
  scrapPerKg: number
  bounds: readonly CountBound[]
  /** Place of the product that was cut last; -1 where none was. */
  before: number
}

/** Where the tolerance cannot be kept, it is widened by so much before it is given up. */
const WIDENED = [1, 1.5, 2]
/** Thinnest pieces that are tried for a product: so many at most, evenly over what fits. */
const TRIED = 24
/** Cells beyond which a plan is not laid out for the eye: the plan that brings most stands. */
const MAX_CELLS = 8_000_000
const NEAR = 1e-9

/**
 * Of the plans that bring all but a share of the best, that whose pieces of one product are as thick as each other,
 * within the tolerance or as near to it as can be, and then that in which products are split least often. `best`
 * is the plan that brings most: it stands where nothing is better laid out.
 */
export function cutsTogether(
  context: TogetherContext,
  best: { cuts: readonly Cut[]; score: number },
  { thickness, costsAtMost }: Omit<Together, 'before'>,
): TogetherCuts {
  const { graph, products, bounds } = context
  const least = best.score - costsAtMost * Math.abs(best.score) - NEAR
  const plain = laidOut(context, best.cuts)
  const cells = graph.at.length * stateCount(bindingOf(bounds)) * (graph.products + 1) * (MAX_CHANGES + 1)
  if (cells > MAX_CELLS || isTidy(plain, thickness)) return plain
  let kept = graph
  let found = fewestSplits(context, kept, least) ?? plain
  const byWorth = products
    .map((_, index) => index)
    .sort((a, b) => (products[b]?.value ?? 0) - (products[a]?.value ?? 0))
  for (const product of byWorth) {
    if (apartOf(context, found.cuts, product) <= thickness + NEAR) continue
    const narrowed = narrowedTo(context, { kept, product, thickness, least })
    if (!narrowed) continue
    kept = narrowed.graph
    found = narrowed.found
  }
  return found
}

/** Every product lies together, and as thick as the tolerance asks. */
const isTidy = ({ splits, thicknessApart }: TogetherCuts, thickness: number) =>
  thicknessApart <= thickness + NEAR && splits === 0

/** The products along the piece, that which was cut last first. */
const orderOf = ({ before }: TogetherContext, cuts: readonly Cut[]): number[] =>
  [before, ...cuts.map(({ product }) => product)].filter((product) => product >= 0)

/** Own thickness of a piece of a product, mm. */
const thicknessOf = ({ shape, products }: TogetherContext, { product, from, to }: Cut) =>
  shape.thicknessBetween(from, to) / (products[product]?.folded ? 2 : 1)

function apartOf(context: TogetherContext, cuts: readonly Cut[], product: number): number {
  const thicknesses = cuts.filter((cut) => cut.product === product).map((cut) => thicknessOf(context, cut))
  return thicknesses.length === 0 ? 0 : Math.max(...thicknesses) - Math.min(...thicknesses)
}

function laidOut(context: TogetherContext, cuts: readonly Cut[]): TogetherCuts {
  const order = orderOf(context, cuts)
  return {
    cuts,
    splits: order.filter((product, index) => product !== order[index - 1]).length - new Set(order).size,
    thicknessApart: Math.max(0, ...context.products.map((_, product) => apartOf(context, cuts, product))),
  }
}

interface Narrowing {
  kept: CutGraph
  product: number
  thickness: number
  least: number
}

/** The pieces of one product are held between two thicknesses, as near to the tolerance as the worth allows. */
function narrowedTo(context: TogetherContext, { kept, product, thickness, least }: Narrowing) {
  const { thinnest, thickest } = rangeOf(context, kept, product)
  for (const widened of WIDENED) {
    const width = thickness * widened
    if (width >= thickest - thinnest) return null
    const step = Math.max(kept.at[1] ?? 1, (thickest - width - thinnest) / TRIED)
    let nearest: { graph: CutGraph; found: TogetherCuts; score: number } | null = null
    for (let from = thinnest; from <= thickest - width + step; from += step) {
      const graph = withThickness(context, kept, product, [from, from + width])
      const score = bestCuts(graph, context.scrapPerKg, bindingOf(context.bounds))?.score ?? Number.NEGATIVE_INFINITY
      if (score < least) continue
      const found = fewestSplits(context, graph, least)
      if (!found) continue
      const isFewer = !nearest || found.splits < nearest.found.splits
      if (isFewer || (found.splits === nearest?.found.splits && score > nearest.score))
        nearest = { graph, found, score }
    }
    if (nearest) return nearest
  }
  return null
}

function rangeOf(context: TogetherContext, { at, options }: CutGraph, product: number) {
  let [thinnest, thickest] = [Number.POSITIVE_INFINITY, 0]
  forOptions(options.start, (from, which) => {
    if (options.product[which] !== product) return
    const to = at[options.to[which] as number] as number
    const thickness = thicknessOf(context, { product, from: at[from] as number, to })
    thinnest = Math.min(thinnest, thickness)
    thickest = Math.max(thickest, thickness)
  })
  return { thinnest, thickest }
}

function forOptions(start: Int32Array, visit: (from: number, which: number) => void): void {
  for (let from = 0; from + 1 < start.length; from++) {
    for (let which = start[from] as number; which < (start[from + 1] as number); which++) visit(from, which)
  }
}

/** The same piece, on which one product is cut between two thicknesses alone. */
function withThickness(
  context: TogetherContext,
  graph: CutGraph,
  product: number,
  [thinnest, thickest]: readonly [number, number],
): CutGraph {
  const { at, options } = graph
  const start = new Int32Array(options.start.length)
  const kept: number[] = []
  let last = 0
  forOptions(options.start, (from, which) => {
    while (last < from) start[++last] = kept.length
    if (options.product[which] === product) {
      const to = at[options.to[which] as number] as number
      const thickness = thicknessOf(context, { product, from: at[from] as number, to })
      if (thickness < thinnest - NEAR || thickness > thickest + NEAR) return
    }
    kept.push(which)
  })
  while (last + 1 < start.length) start[++last] = kept.length
  const of = <A extends Int32Array | Float64Array>(from: A, into: A): A => {
    kept.forEach((which, place) => {
      into[place] = from[which] as number
    })
    return into
  }
  const count = kept.length
  return {
    ...graph,
    options: {
      start,
      product: of(options.product, new Int32Array(count)),
      to: of(options.to, new Int32Array(count)),
      next: of(options.next, new Int32Array(count)),
      worth: of(options.worth, new Float64Array(count)),
    },
  }
}

const bindingOf = (bounds: readonly CountBound[]) => bounds.filter(({ min, max }) => min > 0 || Number.isFinite(max))

/**
 * Of the plans that bring most with up to each number of changes of product, and at least `least`, that with the fewest
 * splits, and of those the one that brings most. Null where none brings as much.
 */
function fewestSplits(context: TogetherContext, graph: CutGraph, least: number): TogetherCuts | null {
  const { scrapPerKg, bounds, before } = context
  const plans = plansOfRuns({ graph, scrapPerKg, bounds: bindingOf(bounds), before, least })
  // From the fewest changes on, and each brings more than the one before.
  return plans
    .map(({ cuts }) => laidOut(context, cuts))
    .reduce<TogetherCuts | null>((found, plan) => (found && plan.splits > found.splits ? found : plan), null)
}
