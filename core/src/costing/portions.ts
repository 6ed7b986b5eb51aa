import type { Pile } from '../fabrication/index.ts'

/** A quotient this close below a whole number is that number: 86.4 g in portions of 28.8 g is 3, not 2.99…. */
const WHOLE_TOLERANCE = 1e-9

/**
 * Portions in a primary pile: pieces that reach `low` (all of them where it is not given),
 * or the count given, or weight ÷ target rounded down. Null where nothing tells.
 */
export function portionsOf(pile: Pile, weight: number): number | null {
  if (pile.pieces) return servedPieces(pile).length
  if (pile.portions !== undefined) return pile.portions
  return pile.target === undefined ? null : Math.floor(weight / pile.target + WHOLE_TOLERANCE)
}

/** Pieces that are served: all but those below the lower bound. */
export function servedPieces(pile: Pile): readonly number[] {
  const { pieces = [], low } = pile
  return low === undefined ? pieces : pieces.filter((piece) => piece >= low)
}

export interface PieceStatistics {
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
  const { pieces = [], low = Number.NEGATIVE_INFINITY, high = Number.POSITIVE_INFINITY, target } = pile
  const count = pieces.length
  const mean = count > 0 ? weight / count : null
  let below = 0
  let within = 0
  let above = 0
  let overweight = 0
  let squares = 0
  for (const piece of pieces) {
    if (piece < low) below++
    else if (piece <= high) within++
    if (piece > high) above++
    if (target !== undefined && piece >= low && piece > target) overweight += piece - target
    squares += (piece - (mean as number)) ** 2
  }
  return {
    below,
    within,
    above,
    mean,
    sd: count > 1 ? Math.sqrt(squares / (count - 1)) : null,
    overweight: target === undefined ? null : overweight,
  }
}
