import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { type BestCuts, bestCuts, type CountBound, type Cut, type CutGraph, cutGraph } from './best-cuts.ts'
import { measurePiece } from './fit.ts'
import type { PlannedPiece, PortionPlan, UnmetMin } from './plan-answer.ts'
import { DEFAULT_PLAN_RULES } from './plan-defaults.ts'
import type { PortionProduct, PortionRequest, ScrapRequest, Together } from './plan-request.ts'
import { drawnIn, worthOf } from './product.ts'
import { type Shape, shapeOf } from './profile.ts'
import { cutsTogether } from './runs.ts'
import { spreadsOf } from './spread.ts'

/** The plan of cuts that brings most; see `bestCuts`. What is too small for any product is all scrap. */
export function planPortions({
  piece,
  products: asked,
  scrap,
  margin = 0,
  isNearest = false,
  together,
  ...rules
}: PortionRequest): PortionPlan {
  const shape = shapeOf(piece)
  const products = asked.map((product) => drawnIn(product, margin))
  const graph = cutGraph(shape, products, {
    ...DEFAULT_PLAN_RULES,
    ...rules,
    scrapAtEnds: scrap.where === 'ends',
    isNearest,
  })
  const { bounds, unmet } = boundsThatCanBeMet(graph, products, shape)
  const plain = bestWithin(graph, scrap.valuePerKg, bounds) ?? allScrap(shape)
  const context = { shape, products, scrap, graph, bounds }
  const requested = scrap.atLeast === undefined ? null : planForScrap(context, plain, scrap.atLeast)
  const best = describe(context, (requested ?? plain).cuts)
  const tidied = together ? tidy(context, requested ?? plain, together) : null
  const plan = tidied ? describe(context, tidied.cuts) : best
  const togetherAnswer = tidied && {
    costs: Math.max(0, best.value - plan.value),
    splits: tidied.splits,
    thicknessApart: tidied.thicknessApart,
  }
  if (!requested) return { ...plan, unmet, scrapRequest: null, together: togetherAnswer }
  const { isMet, raisedTo } = requested
  const costs = describe(context, plain.cuts).value - best.value
  return { ...plan, unmet, scrapRequest: { isMet, costs: Math.max(0, costs), raisedTo }, together: togetherAnswer }
}

/** The same plan laid out for the eye; where scrap was requested, only if there is as much of it then. */
function tidy(
  context: PlanContext,
  { cuts, raisedTo }: { cuts: readonly Cut[]; raisedTo?: number },
  together: Together,
) {
  const { graph, shape, products, scrap, bounds } = context
  const scrapPerKg = raisedTo ?? scrap.valuePerKg
  const score = piecesValue(context, cuts) + (scrapOf(context, cuts) / GRAMS_PER_KILOGRAM) * scrapPerKg
  const before = products.findIndex(({ name }) => name === together.before)
  const within = { graph, shape, products, scrapPerKg, bounds, before }
  const tidied = cutsTogether(within, { cuts, score }, together)
  return scrapOf(context, tidied.cuts) >= (scrap.atLeast ?? 0) - 1e-9 ? tidied : null
}

/** No more of a product can come out than its weight allows: a greatest number above that binds nothing. */
function boundsOf(products: readonly PortionProduct[], shape: Shape): CountBound[] {
  return products.map(({ min = 0, max = Number.POSITIVE_INFINITY, low }, product) => {
    const most = low > 0 ? Math.floor(shape.weight / low + 1e-9) : Number.POSITIVE_INFINITY
    return { product, min, max: max >= most ? Number.POSITIVE_INFINITY : max }
  })
}

/** Least numbers are taken in one after the other; one that makes a plan impossible is left out and named. */
function boundsThatCanBeMet(graph: CutGraph, products: readonly PortionProduct[], shape: Shape) {
  const requested = boundsOf(products, shape)
  const wanted = requested.filter((bound) => bound.min > 0)
  if (wanted.length === 0 || bestWithin(graph, 0, requested)) return { bounds: requested, unmet: [] }
  const unmet: UnmetMin[] = []
  let bounds = requested.map((bound) => ({ ...bound, min: 0 }))
  for (const { product, min } of wanted) {
    const withThis = bounds.map((bound) => (bound.product === product ? { ...bound, min } : bound))
    if (bestWithin(graph, 0, withThis)) bounds = withThis
    else unmet.push({ product: products[product]?.name ?? '', min })
  }
  return { bounds, unmet }
}

/**
 * The best cuts within all bounds; null where none meet them. A bound costs time only where it binds: the
 * plan is made without it first, and again with those that it broke, until it breaks none.
 */
function bestWithin(graph: CutGraph, scrapPerKg: number, bounds: readonly CountBound[]): BestCuts | null {
  const binding = new Set<CountBound>()
  for (;;) {
    const best = bestCuts(graph, scrapPerKg, [...binding])
    if (!best) return null
    const counts = countsOf(best.cuts)
    const broken = bounds.filter((bound) => {
      const count = counts.get(bound.product) ?? 0
      return count < bound.min || count > bound.max
    })
    if (broken.length === 0) return best
    for (const bound of broken) binding.add(bound)
  }
}

/** A piece of which no plan can be made is scrap from end to end, also where it is thinner than scrap may be. */
const allScrap = (shape: Shape): BestCuts => ({ cuts: [{ product: -1, from: 0, to: shape.length }], score: 0 })

function countsOf(cuts: readonly Cut[]): Map<number, number> {
  const counts = new Map<number, number>()
  for (const { product } of cuts) counts.set(product, (counts.get(product) ?? 0) + 1)
  return counts
}

interface PlanContext {
  shape: Shape
  products: readonly PortionProduct[]
  scrap: ScrapRequest
  graph: CutGraph
  bounds: readonly CountBound[]
}

const scrapOf = ({ shape }: PlanContext, cuts: readonly Cut[]) =>
  cuts.reduce((sum, cut) => sum + (cut.product < 0 ? shape.weightBetween(cut.from, cut.to) : 0), 0)

/** Far above any portion: at this value all is scrap that may be. */
const SCRAP_ABOVE_ALL = 1e7

/**
 * Raises the value of scrap only as far as is needed for so much of it. Worth is a line in the value of
 * scrap for each plan, so that the plans with less and with enough of it meet at the next value to try.
 */
function planForScrap(context: PlanContext, plain: BestCuts, atLeast: number) {
  const { graph, bounds, scrap } = context
  const enough = (cuts: readonly Cut[]) => scrapOf(context, cuts) >= atLeast - 1e-9
  if (enough(plain.cuts)) return { cuts: plain.cuts, isMet: true, raisedTo: scrap.valuePerKg }
  const lineOf = (cuts: readonly Cut[]) => {
    const grams = scrapOf(context, cuts)
    return { cuts, kilos: grams / GRAMS_PER_KILOGRAM, pieces: piecesValue(context, cuts) }
  }
  let less = lineOf(plain.cuts)
  let more = lineOf((bestWithin(graph, SCRAP_ABOVE_ALL, bounds) ?? plain).cuts)
  if (!enough(more.cuts)) return { cuts: more.cuts, isMet: false, raisedTo: SCRAP_ABOVE_ALL }
  for (;;) {
    const perKg = (less.pieces - more.pieces) / (more.kilos - less.kilos)
    const between = lineOf((bestWithin(graph, perKg, bounds) ?? plain).cuts)
    const isTie = between.pieces + perKg * between.kilos <= more.pieces + perKg * more.kilos + 1e-9
    if (isTie) return { cuts: more.cuts, isMet: true, raisedTo: perKg }
    if (enough(between.cuts)) more = between
    else less = between
  }
}

function piecesValue({ shape, products }: PlanContext, cuts: readonly Cut[]): number {
  return cuts.reduce((sum, { product, from, to }) => {
    const of = products[product]
    return of ? sum + worthOf(of, shape.weightBetween(from, to)) : sum
  }, 0)
}

/** A plan of cuts with everything that is said of it. */
function describe(
  context: PlanContext,
  cuts: readonly Cut[],
): Omit<PortionPlan, 'unmet' | 'scrapRequest' | 'together'> {
  const { shape, products, scrap } = context
  const pieces = cuts.flatMap(({ product, from, to }): PlannedPiece[] => {
    const of = products[product]
    return of ? [{ product: of.name, ...measurePiece(shape, of, from, to) }] : []
  })
  const weight = scrapOf(context, cuts)
  const portions = Object.fromEntries(
    products.map(({ name }) => [name, pieces.filter((piece) => piece.product === name).length]),
  )
  const places = cuts.flatMap(({ from, to }) => [from, to])
  return {
    cuts: [...new Set(places)].filter((at) => at > 0 && at < shape.length).sort((a, b) => a - b),
    pieces,
    scrap: { weight, parts: cuts.filter(({ product }) => product < 0).map(({ from, to }) => [from, to]) },
    value: piecesValue(context, cuts) + (weight / GRAMS_PER_KILOGRAM) * scrap.valuePerKg,
    portions,
    spreads: spreadsOf(products, pieces),
  }
}
