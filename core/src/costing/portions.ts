import type { Pile } from '../fabrication/index.ts'

/** A quotient this close below a whole number is that number: 86.4 g in portions of 28.8 g is 3, not 2.99…. */
const WHOLE_TOLERANCE = 1e-9

/**
 * Portions in a primary pile: the pieces served where they were weighed one by one, or the count given,
 * or weight ÷ target rounded down. Null where nothing tells.
 */
export function portionsOf(pile: Pile, weight: number, statistics: PieceStatistics | null): number | null {
  if (statistics) return statistics.served
  if (pile.portions !== undefined) return pile.portions
  return pile.target === undefined ? null : Math.floor(weight / pile.target + WHOLE_TOLERANCE)
}

/** Pieces that are served: all but those below the lower bound. */
export function servedPieces(pile: Pile): readonly number[] {
  const { pieces = [], low } = pile
  return low === undefined ? pieces : pieces.filter((piece) => piece >= low)
}

export type PieceBound = 'below' | 'within' | 'above'

/** Where one piece lies against the bounds of its pile; a bound itself is within. */
export function boundOf(grams: number, low: number | null, high: number | null): PieceBound {
  if (low !== null && grams < low) return 'below'
  return high !== null && grams > high ? 'above' : 'within'
}

export interface PieceStatistics {
  /** Pieces that reach `low`: all of them where it is not given. */
  served: number
  below: number
  within: number
  above: number
  mean: number | null
  /** Sample standard deviation; null for fewer than two pieces. */
  sd: number | null
  /** Grams given away above the target by the pieces served; null without a target. */
  overweight: number | null
}

/** Counts against the bounds, mean and spread of a pile weighed piece by piece, in two passes. */
export function pieceStatistics(pile: Pile, weight: number): PieceStatistics {
  const pieces = pile.pieces ?? []
  const low = pile.low ?? Number.NEGATIVE_INFINITY
  const high = pile.high ?? Number.POSITIVE_INFINITY
  // Nothing is over a target that is not there.
  const target = pile.target ?? Number.POSITIVE_INFINITY
  const count = pieces.length
  const centre = count > 0 ? weight / count : 0
  let served = 0
  let within = 0
  let above = 0
  let overweight = 0
  let squares = 0
  for (const piece of pieces) {
    const off = piece - centre
    squares += off * off
    if (piece > high) above++
    if (piece < low) continue
    served++
    if (piece <= high) within++
    if (piece > target) overweight += piece - target
  }
  return {
    served,
    below: count - served,
    within,
    above,
    mean: count > 0 ? centre : null,
    sd: count > 1 ? Math.sqrt(squares / (count - 1)) : null,
    overweight: pile.target === undefined ? null : overweight,
  }
}
