import { GRAMS_PER_KILOGRAM } from '../units/index.ts'
import { type CountBound, type CountStates, type Cut, type CutGraph, countStates, PIECE_COST } from './best-cuts.ts'

/** The plan that brings most with up to so many changes of product, and what it brings. */
export interface PlanOfRuns {
  cuts: Cut[]
  score: number
}

export interface RunSearch {
  graph: CutGraph
  scrapPerKg: number
  /** Bounds that bind, and no others: each multiplies the states. */
  bounds: readonly CountBound[]
  /** Place of the product that was cut last; -1 where none was. */
  before: number
  /** Plans that bring less are left out. */
  least: number
}

/** More changes of product are not told apart. */
export const MAX_CHANGES = 12
const CHANGES = MAX_CHANGES + 1
const NOT_POSSIBLE = Number.NEGATIVE_INFINITY
const NEAR = 1e-9

/**
 * For each number of changes of product along the piece the plan that brings most with no more of them, from the fewest
 * changes on, as far as more changes bring more and `least` is reached: dynamic programming from the far end over places,
 * counts of the bounded products, the product that comes first and the changes from there on.
 */
export function plansOfRuns({ graph, scrapPerKg, bounds, before, least }: RunSearch): PlanOfRuns[] {
  const table = new RunTable(graph, bounds, scrapPerKg)
  for (let place = graph.at.length - 2; place >= 0; place--) table.fill(place)
  const plans: PlanOfRuns[] = []
  let most = NOT_POSSIBLE
  for (let changes = 0; changes < CHANGES; changes++) {
    const best = table.bestFromStart(changes, before)
    if (!best || best.score < least || best.score <= most + NEAR) continue
    most = best.score
    plans.push({ cuts: table.cutsFrom(best.cell), score: best.score })
  }
  return plans
}

/** What the rest of a piece brings from each place on. A cell is a place, a count state, the first product, and changes. */
class RunTable {
  private readonly states: CountStates
  /** Stands for no product at all: nothing but scrap, or the end. */
  private readonly none: number
  private readonly perState: number
  private readonly perPlace: number
  /** Best of the rest from a cell: with anything next, with a piece next, and after a piece of its first product. */
  private readonly any: Float64Array
  private readonly piece: Float64Array
  private readonly rest: Float64Array
  /** The option that was cut, the place to which scrap reaches, and the cell that follows a piece. */
  private readonly chosen: Int32Array
  private readonly scrapTo: Int32Array
  private readonly follows: Int32Array
  /** Where scrap that has begun would best end, among the places that are far enough by now. */
  private readonly bestScore: Float64Array
  private readonly bestEnd: Int32Array
  private passed: number
  private readonly perGram: number

  constructor(
    private readonly graph: CutGraph,
    bounds: readonly CountBound[],
    scrapPerKg: number,
  ) {
    this.states = countStates(bounds, graph.products)
    this.none = graph.products
    this.perState = (graph.products + 1) * CHANGES
    this.perPlace = this.states.count * this.perState
    const places = graph.at.length
    const scores = (length: number) => new Float64Array(length).fill(NOT_POSSIBLE)
    const links = (length: number) => new Int32Array(length).fill(-1)
    const cells = places * this.perPlace
    ;[this.any, this.piece, this.rest] = [scores(cells), scores(cells), scores(cells)]
    ;[this.chosen, this.scrapTo, this.follows] = [links(cells), links(cells), links(cells)]
    this.bestScore = scores(this.perPlace)
    this.bestEnd = links(this.perPlace)
    this.passed = places
    this.perGram = scrapPerKg / GRAMS_PER_KILOGRAM
    for (let state = 0; state < this.states.count; state++) {
      if (!this.states.isMet(state)) continue
      const cell = this.cellOf(places - 1, state, this.none, 0)
      this.any[cell] = this.piece[cell] = 0
    }
    this.fillRest(places - 1)
  }

  private cellOf(place: number, state: number, first: number, changes: number): number {
    return place * this.perPlace + state * this.perState + first * CHANGES + changes
  }

  /** Works out the cells of a place; those behind it are done. */
  fill(place: number): void {
    this.passScrapEnds(place)
    this.fillPieces(place)
    this.fillScrap(place)
    this.fillRest(place)
  }

  private passScrapEnds(place: number): void {
    const { scrapEnds, isCut, grams } = this.graph
    while (this.passed > (scrapEnds[place] as number)) {
      this.passed--
      if (isCut[this.passed] === 0) continue
      const worth = this.perGram * (grams[this.passed] as number)
      for (let cell = 0; cell < this.perPlace; cell++) {
        const score = (this.piece[this.passed * this.perPlace + cell] as number) + worth
        if (score <= (this.bestScore[cell] as number)) continue
        this.bestScore[cell] = score
        this.bestEnd[cell] = this.passed
      }
    }
  }

  private fillPieces(place: number): void {
    const { start, product, next, worth } = this.graph.options
    for (let which = start[place] as number; which < (start[place + 1] as number); which++) {
      const first = product[which] as number
      const after = this.states.after[first] as Int32Array
      const gain = (worth[which] as number) - PIECE_COST
      for (let state = 0; state < this.states.count; state++) {
        const then = after[state] as number
        if (then < 0) continue
        const from = this.cellOf(next[which] as number, then, first, 0)
        const here = this.cellOf(place, state, first, 0)
        for (let changes = 0; changes < CHANGES; changes++) {
          const score = gain + (this.rest[from + changes] as number)
          if (score <= (this.piece[here + changes] as number)) continue
          this.piece[here + changes] = score
          this.chosen[here + changes] = which
        }
      }
    }
  }

  private fillScrap(place: number): void {
    const { grams, startScrapCost } = this.graph
    const before = this.perGram * (grams[place] as number) + (place === 0 ? startScrapCost : 0)
    for (let cell = 0; cell < this.perPlace; cell++) {
      const here = place * this.perPlace + cell
      const scrapped = (this.bestScore[cell] as number) - before
      if (scrapped > (this.piece[here] as number)) {
        this.any[here] = scrapped
        this.scrapTo[here] = this.bestEnd[cell] as number
      } else this.any[here] = this.piece[here] as number
    }
  }

  /** What may follow a piece of a product: the same one on, or another one, which is a change. */
  private fillRest(place: number): void {
    for (let state = 0; state < this.states.count; state++) {
      for (let last = 0; last < this.none; last++) {
        for (let changes = 0; changes < CHANGES; changes++) {
          const cell = this.cellOf(place, state, last, changes)
          const best = this.bestOf(place, state, { changes, before: last })
          if (best === null) continue
          this.rest[cell] = this.any[best] as number
          this.follows[cell] = best
        }
      }
    }
  }

  /** The best cell of a place with so many changes at most, those that its first product makes counted in. */
  private bestOf(
    place: number,
    state: number,
    { changes, before }: { changes: number; before: number },
  ): number | null {
    let best: number | null = null
    for (let first = 0; first <= this.none; first++) {
      const left = before < 0 || first === before || first === this.none ? changes : changes - 1
      if (left < 0) continue
      const cell = this.cellOf(place, state, first, left)
      const score = this.any[cell] as number
      if (score > (best === null ? NOT_POSSIBLE : (this.any[best] as number))) best = cell
    }
    return best
  }

  bestFromStart(changes: number, before: number): { cell: number; score: number } | null {
    const cell = this.bestOf(0, 0, { changes, before })
    return cell === null ? null : { cell, score: this.any[cell] as number }
  }

  /** Reads the chosen cuts back, from a cell at the beginning of the piece. */
  cutsFrom(start: number): Cut[] {
    const { at, options } = this.graph
    const cuts: Cut[] = []
    let cell = start
    let isAfterScrap = false
    for (;;) {
      const place = Math.floor(cell / this.perPlace)
      if (place === at.length - 1) return cuts
      const scrapEnd = this.scrapTo[cell] as number
      if (scrapEnd >= 0 && !isAfterScrap) {
        cuts.push({ product: -1, from: at[place] as number, to: at[scrapEnd] as number })
        cell += (scrapEnd - place) * this.perPlace
        isAfterScrap = true
        continue
      }
      const which = this.chosen[cell] as number
      const product = options.product[which] as number
      cuts.push({ product, from: at[place] as number, to: at[options.to[which] as number] as number })
      const within = cell % this.perPlace
      const state = this.states.after[product]?.[Math.floor(within / this.perState)] as number
      const next = this.cellOf(options.next[which] as number, state, product, within % CHANGES)
      cell = this.follows[next] as number
      isAfterScrap = false
    }
  }
}
