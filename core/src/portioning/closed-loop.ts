import { measurePiece } from './fit.ts'
import type { Piece, Station } from './piece-shape.ts'
import { planPortions } from './plan.ts'
import type { PortionPlan } from './plan-answer.ts'
import type { PortionRequest } from './plan-request.ts'
import { shapeOf } from './profile.ts'

/** What was cut off the beginning of a piece, and what is known of the rest. */
export interface TakenCut {
  /** Millimetres cut off, measured at the board. */
  thickness: number
  /** Grams on the scale. */
  weight: number
  /** Grams that are left, where somebody weighed them; else what is left is what was there less the cut. */
  left?: number | undefined
}

/** How far along the piece what a cut said of the shape is believed, mm. */
const REACH = 120
/** Stations of a corrected curve lie no further apart, mm. */
const FINE = 20
/** Nothing thinner is worth planning, mm. */
const MIN_REST = 1

/**
 * The piece that is left after a cut: its curve begins at the cut, and its weight is what is left, less what a saw took
 * where `kerf` mm are lost. Where the
 * cut weighed more or less than its curve said, the curve was too thin or too thick there, and most likely
 * just behind it too: it is corrected by the same factor, less and less along the piece. Null where nothing
 * worth planning is left.
 */
export function afterCut(piece: Piece, { thickness, weight, left }: TakenCut, kerf = 0): Piece | null {
  const from = thickness + kerf
  const length = piece.length - from
  const shape = shapeOf(piece)
  const sawn = shape.weightBetween(Math.min(thickness, piece.length), Math.min(from, piece.length))
  const rest = left ?? piece.weight - weight - sawn
  if (length < MIN_REST || rest <= 0) return null
  const planned = shape.weightBetween(0, Math.min(thickness, piece.length))
  const factor = planned > 0 && weight > 0 ? weight / planned : 1
  const places = stationsOf(piece, from)
  const profile = places.map((at): Station => {
    const believed = Math.exp(-at / REACH)
    return { at, area: shape.areaAt(at + from) * (1 + (factor - 1) * believed) }
  })
  return { ...piece, weight: rest, length, profile }
}

/** Places of a fresh curve from a cut on: those of the old one, and others between them. */
function stationsOf({ length, profile }: Piece, from: number): number[] {
  const places = new Set([0, length - from])
  for (const { at } of profile) if (at > from && at < length) places.add(at - from)
  for (let at = FINE; at < length - from; at += FINE) places.add(at)
  return [...places].sort((a, b) => a - b)
}

export interface NextCut {
  /** Millimetres from the fresh face, along the piece. */
  thickness: number
  /** Its own thickness, mm, square to its faces: less than along the piece where the knife is slanted or it is folded. */
  ownThickness: number
  /** Name of the product; null for scrap. */
  product: string | null
  /** Grams that it should weigh. */
  weight: number
}

/** The next cut of a piece, from its beginning; null where nothing is to be cut off it any more. */
export const nextCut = (request: PortionRequest): NextCut | null => nextCutOf(planPortions(request), request.piece)

/** The first cut of a plan. */
export function nextCutOf(plan: PortionPlan, piece: Piece): NextCut | null {
  const parts = [
    ...plan.pieces,
    ...plan.scrap.parts.map(([from, to]) => ({ ...measurePiece(shapeOf(piece), {}, from, to), product: null })),
  ].sort((a, b) => a.from - b.from)
  const [first] = parts
  if (!first) return null
  const { from, to, thickness, product, weight } = first
  return { thickness: to - from, ownThickness: thickness, product, weight }
}
