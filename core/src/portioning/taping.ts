import type { Piece } from './piece-shape.ts'
import { girthOf, shapeOf } from './profile.ts'

/** A tape laid around a piece: where, and what it reads, mm. */
export interface TapedGirth {
  at: number
  girth: number
}

/** A taper is known by so many girths; the two ends are always among them. */
export const MIN_GIRTHS = 3
export const MAX_GIRTHS = 6

/** No two tapes lie nearer to each other than this, mm. */
const APART = 10

/** Girths of a known piece at some shares of its length, whole millimetres: what a tape would read there. */
export function girthsAlong(piece: Piece, shares: readonly number[]): TapedGirth[] {
  const { areaAt } = shapeOf(piece)
  return shares.map((share) => {
    const at = Math.round(share * piece.length)
    return { at, girth: Math.round(girthOf(areaAt(at))) }
  })
}

/** One tape more, in the middle of the widest gap, reading what the others make of that place; `girths` by their places. */
export function addTape(girths: readonly TapedGirth[]): TapedGirth[] {
  const gaps = girths.slice(1).map((girth, index) => girth.at - (girths[index] as TapedGirth).at)
  const after = gaps.indexOf(Math.max(...gaps))
  const [low, high] = [girths[after], girths[after + 1]]
  if (girths.length >= MAX_GIRTHS || !low || !high || high.at - low.at < 2 * APART) return [...girths]
  const span: Piece = {
    weight: 1,
    length: high.at - low.at,
    profile: [
      { ...low, at: 0 },
      { ...high, at: high.at - low.at },
    ],
  }
  const [between] = girthsAlong(span, [0.5]) as [TapedGirth]
  return [...girths.slice(0, after + 1), { ...between, at: low.at + between.at }, ...girths.slice(after + 1)]
}

/** Without one tape; the ends stay, and so do the last three. */
export const removeTape = (girths: readonly TapedGirth[], which: number): TapedGirth[] =>
  which <= 0 || which >= girths.length - 1 || girths.length <= MIN_GIRTHS
    ? [...girths]
    : girths.filter((_, index) => index !== which)

/** One tape laid elsewhere, between its neighbours; the ends stay where they are. */
export function moveTape(girths: readonly TapedGirth[], which: number, to: number): TapedGirth[] {
  const [before, after] = [girths[which - 1], girths[which + 1]]
  if (!before || !after) return [...girths]
  const at = Math.min(after.at - APART, Math.max(before.at + APART, Math.round(to)))
  return girths.map((girth, place) => (place === which ? { ...girth, at } : girth))
}
