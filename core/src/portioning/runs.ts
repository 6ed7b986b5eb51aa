import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { bestCuts, type CountBound, type Cut, type CutGraph, countStates, PIECE_COST, stateCount } from './best-cuts.ts'
import type { PortionProduct } from './product.ts'
import type { Shape } from './profile.ts'

/** How a plan is laid out for the eye, and what that may cost. */
export interface Together {
  /** Pieces of one product differ by no more than this in their own thickness, mm. */
  thickness: number
  /** Share of the best plan's worth that it may cost. */
  costsAtMost: number
  /** Name of the product that was cut last: going on with another one is a change. */
  before?: string | undefined
}

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

/** What a kitchen asks that has set nothing else. */
export const USUAL_TOGETHER = { thickness: 10, costsAtMost: 0.01 } as const

/** Where the tolerance cannot be kept, it is widened by so much before it is given up. */
const WIDENED = [1, 1.5, 2]
/** Thinnest pieces that are tried for a product: so many at most, evenly over what fits. */
const TRIED = 24
/** More changes of product are not told apart. */
const MAX_CHANGES = 12
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
  const byWorth = products.map((_, at) => at).sort((a, b) => (products[b]?.value ?? 0) - (products[a]?.value ?? 0))
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
  const own = cuts.filter((cut) => cut.product === product).map((cut) => thicknessOf(context, cut))
  return own.length === 0 ? 0 : Math.max(...own) - Math.min(...own)
}

function laidOut(context: TogetherContext, cuts: readonly Cut[]): TogetherCuts {
  const order = orderOf(context, cuts)
  return {
    cuts,
    splits: order.filter((product, at) => product !== order[at - 1]).length - new Set(order).size,
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
    const own = thicknessOf(context, { product, from: at[from] as number, to })
    thinnest = Math.min(thinnest, own)
    thickest = Math.max(thickest, own)
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
      const own = thicknessOf(context, { product, from: at[from] as number, to })
      if (own < thinnest - NEAR || own > thickest + NEAR) return
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
 * splits, and of those the one that brings most: dynamic programming from the far end over places, counts of the bounded products, the product that comes first and
 * the changes from there on. Null where none brings as much.
 */
function fewestSplits(context: TogetherContext, graph: CutGraph, least: number): TogetherCuts | null {
  const bounds = bindingOf(context.bounds)
  const states = countStates(bounds, graph.products)
  const places = graph.at.length
  const [firsts, changes] = [graph.products + 1, MAX_CHANGES + 1]
  const perState = firsts * changes
  const perPlace = states.count * perState
  const cellOf = (place: number, state: number, first: number, change: number) =>
    place * perPlace + state * perState + first * changes + change
  const none = graph.products
  const any = new Float64Array(places * perPlace).fill(Number.NEGATIVE_INFINITY)
  const piece = new Float64Array(places * perPlace).fill(Number.NEGATIVE_INFINITY)
  const rest = new Float64Array(places * perPlace).fill(Number.NEGATIVE_INFINITY)
  const chosen = new Int32Array(places * perPlace).fill(-1)
  const scrapTo = new Int32Array(places * perPlace).fill(-1)
  const follows = new Int32Array(places * perPlace).fill(-1)
  const perGram = context.scrapPerKg / GRAMS_PER_KILOGRAM
  const bestScore = new Float64Array(perPlace).fill(Number.NEGATIVE_INFINITY)
  const bestEnd = new Int32Array(perPlace).fill(-1)
  const { start, product, next: nextOf, worth } = graph.options
  const end = places - 1

  /** What may follow a piece of a product: the same one on, or another one, which is a change. */
  const setRest = (place: number) => {
    for (let state = 0; state < states.count; state++) {
      for (let before = 0; before < none; before++) {
        for (let change = 0; change < changes; change++) {
          const cell = cellOf(place, state, before, change)
          for (let first = 0; first <= none; first++) {
            const left = first === before || first === none ? change : change - 1
            if (left < 0) continue
            const then = cellOf(place, state, first, left)
            if ((any[then] as number) > (rest[cell] as number)) {
              rest[cell] = any[then] as number
              follows[cell] = then
            }
          }
        }
      }
    }
  }

  for (let state = 0; state < states.count; state++) {
    if (!states.isMet(state)) continue
    const cell = cellOf(end, state, none, 0)
    any[cell] = piece[cell] = 0
  }
  setRest(end)
  let passed = places
  for (let place = end - 1; place >= 0; place--) {
    const firstEnd = graph.scrapEnds[place] as number
    while (passed > firstEnd) {
      passed--
      if (graph.isCut[passed] === 0) continue
      const grams = perGram * (graph.grams[passed] as number)
      for (let cell = 0; cell < perPlace; cell++) {
        const score = (piece[passed * perPlace + cell] as number) + grams
        if (score > (bestScore[cell] as number)) {
          bestScore[cell] = score
          bestEnd[cell] = passed
        }
      }
    }
    const last = start[place + 1] as number
    for (let which = start[place] as number; which < last; which++) {
      const first = product[which] as number
      const nextState = states.after[first] as Int32Array
      const gain = (worth[which] as number) - PIECE_COST
      for (let state = 0; state < states.count; state++) {
        const then = nextState[state] as number
        if (then < 0) continue
        const from = cellOf(nextOf[which] as number, then, first, 0)
        const here = cellOf(place, state, first, 0)
        for (let change = 0; change < changes; change++) {
          const score = gain + (rest[from + change] as number)
          if (score > (piece[here + change] as number)) {
            piece[here + change] = score
            chosen[here + change] = which
          }
        }
      }
    }
    const gramsHere = perGram * (graph.grams[place] as number) + (place === 0 ? graph.startScrapCost : 0)
    for (let cell = 0; cell < perPlace; cell++) {
      const here = place * perPlace + cell
      const scrapped = (bestScore[cell] as number) - gramsHere
      if (scrapped > (piece[here] as number)) {
        any[here] = scrapped
        scrapTo[here] = bestEnd[cell] as number
      } else any[here] = piece[here] as number
    }
    setRest(place)
  }

  // After what was cut last, going on with another product is a change as well.
  const isChange = (first: number) => context.before >= 0 && first !== none && first !== context.before
  const choices = { perPlace, chosen, scrapTo, follows, after: states.after, cellOf }
  let found: { laid: TogetherCuts; score: number } | null = null
  for (let change = 0; change < changes; change++) {
    let best = -1
    for (let first = 0; first <= none; first++) {
      if (isChange(first) && change === 0) continue
      const cell = cellOf(0, 0, first, isChange(first) ? change - 1 : change)
      if ((any[cell] as number) >= least && (best < 0 || (any[cell] as number) > (any[best] as number))) best = cell
    }
    // More changes that bring no more are the same plan.
    const score = any[best] ?? Number.NEGATIVE_INFINITY
    if (best < 0 || score <= (found?.score ?? Number.NEGATIVE_INFINITY) + NEAR) continue
    const laid = laidOut(context, follow(graph, choices, best))
    if (!found || laid.splits <= found.laid.splits) found = { laid, score }
  }
  return found?.laid ?? null
}

interface Choices {
  perPlace: number
  chosen: Int32Array
  scrapTo: Int32Array
  /** What comes after a piece: the cell at the place where it ends. */
  follows: Int32Array
  after: readonly Int32Array[]
  cellOf: (place: number, state: number, first: number, change: number) => number
}

/** Reads the chosen cuts back, from a cell at the beginning of the piece. */
function follow(graph: CutGraph, choices: Choices, from: number): Cut[] {
  const { perPlace, chosen, scrapTo, follows, after } = choices
  const { at, options, products } = graph
  const changes = MAX_CHANGES + 1
  const perState = (products + 1) * changes
  const cuts: Cut[] = []
  let cell = from
  let isAfterScrap = false
  for (;;) {
    const place = Math.floor(cell / perPlace)
    if (place === at.length - 1) return cuts
    const scrapEnd = scrapTo[cell] as number
    if (scrapEnd >= 0 && !isAfterScrap) {
      cuts.push({ product: -1, from: at[place] as number, to: at[scrapEnd] as number })
      cell += (scrapEnd - place) * perPlace
      isAfterScrap = true
      continue
    }
    const which = chosen[cell] as number
    const product = options.product[which] as number
    cuts.push({ product, from: at[place] as number, to: at[options.to[which] as number] as number })
    const within = cell % perPlace
    const state = after[product]?.[Math.floor(within / perState)] as number
    cell = follows[choices.cellOf(options.next[which] as number, state, product, within % changes)] as number
    isAfterScrap = false
  }
}
