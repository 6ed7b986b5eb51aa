import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import type { PlanRules, PortionProduct } from './plan-request.ts'
import { worthOf } from './product.ts'
import type { Shape } from './profile.ts'

/** Between plans of equal worth the one with fewer pieces wins: each piece costs less than worth can differ by. */
export const PIECE_COST = 1e-11
/** Money of a gram beside the target where the nearest plan is asked for: a kilo of it is not a hundredth of a cent. */
const GRAM_OFF_COST = 1e-7
/** Money by which scrap at the far end is preferred, where the nearest plan is asked for. */
const START_SCRAP_COST = 1e-4
const NOT_POSSIBLE = Number.NEGATIVE_INFINITY

export interface Cut {
  /** Place of the product in the list; -1 for scrap. */
  product: number
  from: number
  to: number
}

export interface CountBound {
  product: number
  min: number
  /** Infinity where there is none. */
  max: number
}

/** Everything that can be cut from each place of a piece, worked out once. Places are numbers into `at`. */
export interface CutGraph {
  /** Where each place is, mm: cuts, where a saw has been, and the end. */
  at: Float64Array
  /** Pieces of products that may be cut, those from place p from `start[p]` up to, but not, `start[p + 1]`. */
  options: {
    start: Int32Array
    product: Int32Array
    /** Place at which it ends, and the place from which the rest is planned: after the kerf of a saw. */
    to: Int32Array
    next: Int32Array
    worth: Float64Array
  }
  /** For each place the first one at which scrap from it may end; beyond the last where none is. */
  scrapEnds: Int32Array
  /** Grams from the beginning to each place. */
  grams: Float64Array
  /** Whether a knife may come down there, or it is the end: scrap and pieces end only there. */
  isCut: Uint8Array
  products: number
  /** Money that scrap at the beginning counts less, so that of equal plans the first cut is a portion. */
  startScrapCost: number
}

const NEAR = 1e-9
const isNear = (a: number, b: number) => Math.abs(a - b) < 1e-6

/** What else decides which cuts there are. */
export interface CutRules extends PlanRules {
  /** Scrap lies at the two ends alone, and where a place of a product makes it. */
  scrapAtEnds: boolean
  /** Among plans of all but equal worth, the one nearest to its targets. */
  isNearest: boolean
}

/** Builds the places of a piece and what may be cut from each. */
export function cutGraph(shape: Shape, products: readonly PortionProduct[], rules: CutRules): CutGraph {
  const { step, kerf, minScrap, scrapAtEnds, isNearest } = rules
  const cuts: number[] = []
  for (let count = 0; count * step < shape.length - NEAR; count++) cuts.push(count * step)
  const afterSaw = kerf > 0 ? cuts.slice(1).map((cut) => cut + kerf) : []
  const sorted = [...cuts, ...afterSaw.filter((place) => place < shape.length - NEAR), shape.length].sort(
    (a, b) => a - b,
  )
  const at = Float64Array.from(
    sorted.filter((place, index) => index === 0 || !isNear(place, sorted[index - 1] as number)),
  )
  const end = at.length - 1
  const isCut = Uint8Array.from(at, (place, index) =>
    index === end || isNear(place / step, Math.round(place / step)) ? 1 : 0,
  )
  const grams = Float64Array.from(at, (place) => shape.weightBetween(0, place))
  const faces = Float64Array.from(at, (place) => shape.faceAt(place))
  const measures = { at, grams, faces, isCut, thickness: shape.thicknessBetween(0, 1), step }
  return {
    at,
    grams,
    isCut,
    scrapEnds: scrapAtEnds ? endsOnly(at, firstAtLeast(at, minScrap), edgesOf(products)) : firstAtLeast(at, minScrap),
    options: allOptions(products, measures, nextPlaces(at, kerf), isNearest),
    products: products.length,
    startScrapCost: isNearest ? START_SCRAP_COST : 0,
  }
}

/** For each place the first one at least so many millimetres on; beyond the last where there is none. */
function firstAtLeast(at: Float64Array, distance: number): Int32Array {
  const firsts = new Int32Array(at.length)
  let to = 0
  for (let from = 0; from < at.length; from++) {
    while (to < at.length && (at[to] as number) - (at[from] as number) < distance - NEAR) to++
    firsts[from] = to
  }
  return firsts
}

/** Places, mm, at which a product's own place begins or ends. */
const edgesOf = (products: readonly PortionProduct[]): number[] =>
  products.flatMap(({ within }) => within ?? []).sort((a, b) => a - b)

/**
 * The first places at which scrap may end where it lies at the ends alone: from the beginning anywhere, from another
 * place at the end of the piece, or at or behind an edge that it reaches. They never fall, as the search needs it.
 */
function endsOnly(at: Float64Array, firsts: Int32Array, edges: readonly number[]): Int32Array {
  const end = at.length - 1
  return firsts.map((first, from) => {
    if (from === 0 || first > end) return first
    const edge = edges.find((edge) => edge >= (at[from] as number) - NEAR)
    if (edge === undefined) return end
    const reached = at.findIndex((place) => place >= edge - NEAR)
    return reached < 0 ? end : Math.max(first, reached)
  })
}

/** For each place the one from which the rest begins when a piece ends there: a kerf on, or the end. */
function nextPlaces(at: Float64Array, kerf: number): Int32Array {
  const firsts = firstAtLeast(at, kerf)
  return firsts.map((place) => Math.min(place, at.length - 1))
}

interface Measures {
  at: Float64Array
  grams: Float64Array
  faces: Float64Array
  isCut: Uint8Array
  /** Own thickness of one millimetre along the piece. */
  thickness: number
  step: number
}

/** Pieces from all places beyond which the memory of a page would not do. */
const MAX_OPTIONS = 4_000_000
const TOO_MANY_OPTIONS = 'Too many places fit: take a larger step, or bring low and high closer together'

/** The pieces of every product from every place, laid out flat: there are tens of thousands of them. */
function allOptions(
  products: readonly PortionProduct[],
  measures: Measures,
  nextOf: Int32Array,
  isNearest: boolean,
): CutGraph['options'] {
  const start = new Int32Array(measures.at.length + 1)
  const [product, to, next, worth]: [number[], number[], number[], number[]] = [[], [], [], []]
  const fits = products.map((product) => fitFrom(product, measures))
  for (let from = 0; from < measures.at.length; from++) {
    start[from] = product.length
    products.forEach((other, place) => {
      fits[place]?.(from, (end, weight) => {
        if (product.length >= MAX_OPTIONS) throw new RangeError(TOO_MANY_OPTIONS)
        product.push(place)
        to.push(end)
        next.push(nextOf[end] as number)
        worth.push(worthOf(other, weight) - (isNearest ? GRAM_OFF_COST * Math.abs(weight - other.target) : 0))
      })
    })
  }
  start[measures.at.length] = product.length
  return {
    start,
    product: Int32Array.from(product),
    to: Int32Array.from(to),
    next: Int32Array.from(next),
    worth: Float64Array.from(worth),
  }
}

type Found = (end: number, weight: number) => void

/**
 * Finds the ends of the pieces of one product from a place, by the same limits as `misfits`: weight and
 * thickness grow with the end, so that one pass between the lightest and the heaviest finds them. Places are
 * asked for in order.
 */
function fitFrom(product: PortionProduct, { at, grams, faces, isCut, thickness, step }: Measures) {
  const { low, high, within, targetThickness, folded } = product
  const layers = folded ? 2 : 1
  const along = layers / thickness
  const least = Math.max(product.minThickness ?? 0, targetThickness === undefined ? 0 : targetThickness - step / 2)
  const most = Math.min(
    product.maxThickness ?? Number.POSITIVE_INFINITY,
    targetThickness === undefined ? Number.POSITIVE_INFINITY : targetThickness + step / 2,
  )
  const face = (product.minFace ?? 0) / Math.sqrt(layers) - NEAR
  let first = 0
  return (from: number, found: Found) => {
    const place = at[from] as number
    if ((faces[from] as number) < face || (within && place < within[0] - NEAR)) return
    const [shortest, longest] = [place + least * along - NEAR, place + most * along + NEAR]
    const before = grams[from] as number
    first = Math.max(first, from + 1)
    while (first < at.length && (grams[first] as number) - before < low - NEAR) first++
    for (let to = first; to < at.length; to++) {
      const weight = (grams[to] as number) - before
      const end = at[to] as number
      if (weight > high + NEAR || end > longest || (within && end > within[1] + NEAR)) return
      if (end >= shortest && isCut[to] === 1 && (faces[to] as number) >= face) found(to, weight)
    }
  }
}

export interface BestCuts {
  cuts: Cut[]
  /** Score of the cuts at the scrap's value, pieces' cost taken off. */
  score: number
}

/** Places × states beyond which the memory of a page would not do. */
const MAX_CELLS = 30_000_000

/**
 * The cuts that bring most, exactly: dynamic programming from the far end over places and over the counts
 * of the products that are `bounded`. Null where the bounds cannot be met together. Throws a RangeError
 * where so many counts are bounded that they cannot be told apart in memory.
 */
export function bestCuts(graph: CutGraph, scrapPerKg: number, bounded: readonly CountBound[]): BestCuts | null {
  const places = graph.at.length
  // Told by arithmetic, before any memory is taken for it.
  if (places * stateCount(bounded) > MAX_CELLS) {
    throw new RangeError('Too many products have a least or a greatest number')
  }
  const states = countStates(bounded, graph.products)
  const { count, after } = states
  const end = places - 1
  const { start, product, next: nextOf, worth } = graph.options
  // Best of the rest from a place in a state: with anything next, and with a piece (or the end) next.
  const any = new Float64Array(places * count).fill(NOT_POSSIBLE)
  const pieceFirst = new Float64Array(places * count).fill(NOT_POSSIBLE)
  const chosen = new Int32Array(places * count).fill(-1)
  const scrapTo = new Int32Array(places * count).fill(-1)
  const perGram = scrapPerKg / GRAMS_PER_KILOGRAM
  // Where scrap that has begun would best end, for each state, among the places that are far enough by now.
  const bestEnd = new Int32Array(count).fill(-1)
  const bestScore = new Float64Array(count).fill(NOT_POSSIBLE)
  let passed = places
  for (let state = 0; state < count; state++) {
    if (states.isMet(state)) any[end * count + state] = pieceFirst[end * count + state] = 0
  }
  for (let place = end - 1; place >= 0; place--) {
    const firstEnd = graph.scrapEnds[place] as number
    while (passed > firstEnd) {
      passed--
      if (graph.isCut[passed] === 0) continue
      const grams = perGram * (graph.grams[passed] as number)
      for (let state = 0; state < count; state++) {
        const score = (pieceFirst[passed * count + state] as number) + grams
        if (score > (bestScore[state] as number)) {
          bestScore[state] = score
          bestEnd[state] = passed
        }
      }
    }
    const last = start[place + 1] as number
    for (let which = start[place] as number; which < last; which++) {
      const nextState = after[product[which] as number] as Int32Array
      const next = nextOf[which] as number
      const gain = (worth[which] as number) - PIECE_COST
      for (let state = 0; state < count; state++) {
        const then = nextState[state] as number
        if (then < 0) continue
        const score = gain + (any[next * count + then] as number)
        if (score > (pieceFirst[place * count + state] as number)) {
          pieceFirst[place * count + state] = score
          chosen[place * count + state] = which
        }
      }
    }
    const gramsHere = perGram * (graph.grams[place] as number)
    for (let state = 0; state < count; state++) {
      const here = place * count + state
      const scrapped = (bestScore[state] as number) - gramsHere - (place === 0 ? graph.startScrapCost : 0)
      if (scrapped > (pieceFirst[here] as number)) {
        any[here] = scrapped
        scrapTo[here] = bestEnd[state] as number
      } else any[here] = pieceFirst[here] as number
    }
  }
  if (any[0] === NOT_POSSIBLE) return null
  return { cuts: follow(graph, states, chosen, scrapTo), score: any[0] as number }
}

/** Reads the chosen cuts back, from the beginning of the piece. */
function follow(graph: CutGraph, { count, after }: CountStates, chosen: Int32Array, scrapTo: Int32Array): Cut[] {
  const cuts: Cut[] = []
  const { options } = graph
  const end = graph.at.length - 1
  let [place, state, isAfterScrap] = [0, 0, false]
  while (place !== end) {
    const here = place * count + state
    const from = graph.at[place] as number
    const scrapEnd = scrapTo[here] as number
    if (scrapEnd >= 0 && !isAfterScrap) {
      cuts.push({ product: -1, from, to: graph.at[scrapEnd] as number })
      place = scrapEnd
      isAfterScrap = true
      continue
    }
    const which = chosen[here] as number
    const product = options.product[which] as number
    cuts.push({ product, from, to: graph.at[options.to[which] as number] as number })
    state = after[product]?.[state] as number
    place = options.next[which] as number
    isAfterScrap = false
  }
  return cuts
}

export interface CountStates {
  count: number
  /** For each product the state after one more of it; -1 where that is one too many. */
  after: Int32Array[]
  isMet: (state: number) => boolean
}

const sizeOf = ({ min, max }: CountBound) => (Number.isFinite(max) ? max : min) + 1
/** States that the counts of bounded products make. */
export const stateCount = (bounded: readonly CountBound[]) => bounded.reduce((count, bound) => count * sizeOf(bound), 1)

/** How many of each bounded product have been cut, as one number; counts beyond what matters are not told apart. */
export function countStates(bounded: readonly CountBound[], products: number): CountStates {
  let count = 1
  const bounds = bounded.map((bound) => {
    const size = sizeOf(bound)
    const stride = count
    count *= size
    return { ...bound, size, stride, of: (state: number) => Math.floor(state / stride) % size }
  })
  const after = Array.from({ length: products }, (_, product) => {
    const bound = bounds.find((bound) => bound.product === product)
    return Int32Array.from({ length: count }, (_each, state) => {
      if (!bound) return state
      if (bound.of(state) + 1 < bound.size) return state + bound.stride
      return Number.isFinite(bound.max) ? -1 : state
    })
  })
  return { count, after, isMet: (state) => bounds.every((bound) => bound.of(state) >= bound.min) }
}
