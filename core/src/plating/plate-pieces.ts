import type { SolveProgramme } from '../solving/index.ts'
import { leastDeviation, mostPlates } from './bounds.ts'
import { type PlateSet, piecesOnPlate, platingOf, weightOfSet } from './plate.ts'
import type { Plating, PlatingRequest } from './plate-request.ts'
import { bestSets, possibleSets } from './programme.ts'
import { PlatingSearch } from './search.ts'

/** Up to so many pieces the answer is proven. */
const MAX_PROVEN = 60
const SEED = 0.42
/** Exchanges tried in a step, for each piece: some milliseconds. */
const TRIES_A_PIECE = 300
const STEPS = { few: 2, small: 5, large: 300 }
/** So few pieces are proven faster than they are exchanged. */
const FEW = 20
const SOLVER_SECONDS = 20

/**
 * Plates made of pieces, in steps that a worker can breathe between: first an exchange search, then, for up
 * to 60 pieces, an integer programme over every plate that could still be in a better answer.
 */
export class PlatingRun {
  readonly #request: PlatingRequest
  readonly #solve: SolveProgramme
  readonly #search: PlatingSearch
  readonly #steps: number
  #done = 0
  #plating: Plating | null = null

  constructor(request: PlatingRequest, solve: SolveProgramme) {
    this.#request = request
    this.#solve = solve
    this.#search = new PlatingSearch(request, SEED)
    this.#steps = request.pieces.length <= FEW ? STEPS.few : this.#isSmall ? STEPS.small : STEPS.large
  }

  get #isSmall(): boolean {
    return this.#request.pieces.length <= MAX_PROVEN
  }

  /** Steps done and steps in all; it may be over sooner. */
  get done(): number {
    return this.#plating ? this.#steps : this.#done
  }
  get of(): number {
    return this.#steps
  }

  /** The answer once it is over; null before. */
  get plating(): Plating | null {
    return this.#plating
  }

  step(): void {
    if (this.#plating) return
    this.#search.step(TRIES_A_PIECE * this.#request.pieces.length)
    this.#done++
    if (this.#search.isProven) this.#plating = platingOf(this.#request, this.#search.sets, 0)
    else if (this.#done >= this.#steps) this.#plating = this.#isSmall ? this.#prove() : this.#withGap(this.#search.sets)
  }

  /** Solves over the plates that a better answer could hold: with as many plates, none is further off than all together. */
  #prove(): Plating {
    const { sets, deviation, most } = this.#search
    const reach = sets.length === most ? deviation : Number.POSITIVE_INFINITY
    const possible = possibleSets(this.#request, reach)
    if (!possible) return this.#withGap(sets)
    const best = bestSets(this.#request, possible, { solve: this.#solve, seconds: SOLVER_SECONDS })
    return best ? platingOf(this.#request, best, 0) : this.#withGap(sets)
  }

  #withGap(sets: readonly PlateSet[]): Plating {
    return platingOf(this.#request, sets, gapOf(this.#request, sets))
  }
}

/** How far off the best these plates may be, as a share: plates that are missing first, then distance from the target. */
export function gapOf(request: PlatingRequest, sets: readonly PlateSet[]): number {
  const { pieces, plate } = request
  const most = piecesOnPlate(plate) > 0 ? mostPlates(request) : 0
  if (sets.length < most) return (most - sets.length) / most
  const off = sets.reduce((sum, set) => sum + Math.abs(weightOfSet(pieces, set) - plate.target), 0)
  return Math.max(0, off - leastDeviation(request, sets.length)) / Math.max(1, sets.length * plate.target)
}

/** The whole answer at once. */
export function platePieces(request: PlatingRequest, solve: SolveProgramme): Plating {
  const run = new PlatingRun(request, solve)
  while (!run.plating) run.step()
  return run.plating
}
