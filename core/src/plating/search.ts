import { randomLcg } from 'd3-random'
import { leastDeviation, mostPlates } from './bounds.ts'
import { ANY_KIND, type PlateSet, slotsOf } from './plate.ts'
import type { PlatePiece, PlatingRequest } from './plate-request.ts'

/** Tries for each temperature; the search cools slowly enough for plates of two or three. */
const COOLING = 0.9997
const HOT_SHARE = 0.25
const COLD = 0.02
/** A plate out of its bounds costs more than any distance from the target. */
const OUTSIDE = 1e6

/**
 * Looks for plates by exchanging pieces: starts from plates dealt out by weight and cools down. It proves
 * nothing by itself, but often reaches a bound that does. The same seed gives the same plates.
 */
export class PlatingSearch {
  readonly most: number
  readonly #request: PlatingRequest
  readonly #slots: string[]
  readonly #random: () => number
  /** Places of pieces by plate and slot; then the spare ones. */
  readonly #seats: number[]
  readonly #weights: number[]
  readonly #onPlate: number
  readonly #taken: number
  /** No plates are nearer to their targets than this. */
  readonly #leastDeviation: number
  #temperature: number
  #cost: number
  #best: PlateSet[] = []
  #bestCount = -1
  #bestDeviation = Number.POSITIVE_INFINITY

  constructor(request: PlatingRequest, seed: number) {
    this.#request = request
    this.#slots = slotsOf(request.plate)
    this.#onPlate = this.#slots.length
    this.most = this.#onPlate > 0 ? mostPlates(request) : 0
    this.#taken = this.most * this.#onPlate
    this.#leastDeviation = leastDeviation(request, this.most)
    this.#random = randomLcg(seed)
    this.#seats = dealOut(request, this.#slots, this.most)
    this.#weights = Array.from({ length: this.most }, (_, plate) => this.#weigh(plate))
    this.#cost = this.#weights.reduce((sum, weight) => sum + this.#costOf(weight), 0)
    this.#temperature = request.plate.target * HOT_SHARE * 0.2
    this.#note()
  }

  /** The best plates so far, all within their bounds. */
  get sets(): PlateSet[] {
    return this.#best
  }

  get deviation(): number {
    return this.#bestDeviation
  }

  /** Nothing can be better: as many plates as the pieces allow, as near to the target as their weights allow. */
  get isProven(): boolean {
    return this.#bestCount === this.most && this.#bestDeviation <= this.#leastDeviation + 1e-9
  }

  /** Tries so many exchanges; stops early once nothing can be better. */
  step(tries: number): void {
    const { pieces } = this.#request
    const seats = this.#seats
    if (this.#taken === 0 || seats.length < 2) return
    for (let at = 0; at < tries; at++) {
      const one = Math.floor(this.#random() * this.#taken)
      const other = Math.floor(this.#random() * seats.length)
      const [plateA, plateB] = [Math.floor(one / this.#onPlate), Math.floor(other / this.#onPlate)]
      if (plateA === plateB && other < this.#taken) continue
      if (!this.#fits(seats[other] as number, one) || !this.#fits(seats[one] as number, other)) continue
      const gain =
        (pieces[seats[other] as number] as PlatePiece).weight - (pieces[seats[one] as number] as PlatePiece).weight
      const isSpare = other >= this.#taken
      const [weightA, weightB] = [this.#weights[plateA] as number, isSpare ? 0 : (this.#weights[plateB] as number)]
      const change =
        this.#costOf(weightA + gain) -
        this.#costOf(weightA) +
        (isSpare ? 0 : this.#costOf(weightB - gain) - this.#costOf(weightB))
      if (change <= 0 || this.#random() < Math.exp(-change / this.#temperature)) {
        ;[seats[one], seats[other]] = [seats[other] as number, seats[one] as number]
        this.#weights[plateA] = weightA + gain
        if (!isSpare) this.#weights[plateB] = weightB - gain
        this.#cost += change
        if (change < 0) this.#note()
      }
      this.#temperature *= COOLING
      if (this.#temperature < COLD) {
        if (this.isProven) return
        this.#temperature = this.#request.plate.target * HOT_SHARE * 0.05
      }
    }
  }

  #weigh(plate: number): number {
    const { pieces } = this.#request
    const seats = this.#seats.slice(plate * this.#onPlate, (plate + 1) * this.#onPlate)
    return seats.reduce((sum, index) => sum + (pieces[index] as PlatePiece).weight, 0)
  }

  #isWithin(weight: number): boolean {
    const { low, high } = this.#request.plate
    return weight >= low - 1e-9 && weight <= high + 1e-9
  }

  #costOf(weight: number): number {
    const distance = Math.abs(weight - this.#request.plate.target)
    return this.#isWithin(weight) ? distance : distance + OUTSIDE
  }

  /** Whether a piece may take a seat: of its kind, or one that takes any, or a spare one. */
  #fits(piece: number, seat: number): boolean {
    if (seat >= this.#taken) return true
    const kind = this.#slots[seat % this.#onPlate]
    return kind === ANY_KIND || kind === this.#request.pieces[piece]?.kind
  }

  /** Keeps what is there where it is the best so far. */
  #note(): void {
    const count = this.most - Math.floor((this.#cost + OUTSIDE / 2) / OUTSIDE)
    if (count < this.#bestCount) return
    const within = this.#weights.flatMap((weight, plate) => (this.#isWithin(weight) ? [plate] : []))
    const deviation = within.reduce(
      (sum, plate) => sum + Math.abs((this.#weights[plate] as number) - this.#request.plate.target),
      0,
    )
    if (within.length < this.#bestCount) return
    if (within.length === this.#bestCount && deviation >= this.#bestDeviation) return
    this.#bestCount = within.length
    this.#bestDeviation = deviation
    this.#best = within.map((plate) => this.#seats.slice(plate * this.#onPlate, (plate + 1) * this.#onPlate))
  }
}

/** Pieces dealt out so that light ones meet heavy ones; named kinds take their seats first, the rest is spare. */
function dealOut({ pieces }: PlatingRequest, slots: readonly string[], plates: number): number[] {
  const free = pieces.map((_, index) => index).sort((a, b) => (pieces[b]?.weight ?? 0) - (pieces[a]?.weight ?? 0))
  const seats: number[] = new Array(plates * slots.length)
  slots.forEach((kind, slot) => {
    const fitting = free.filter((at) => kind === ANY_KIND || pieces[at]?.kind === kind).slice(0, plates)
    if (slot % 2 === 1) fitting.reverse()
    fitting.forEach((at, plate) => {
      seats[plate * slots.length + slot] = at
      free.splice(free.indexOf(at), 1)
    })
  })
  return [...seats, ...free]
}
