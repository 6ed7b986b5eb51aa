import type { OutlinePoint } from './measuring.ts'

/** A place in a picture: shares of its width and of its height. */
export interface PicturePoint {
  x: number
  y: number
}

/** Marks that were put on a photograph from above. The piece lies level in it. */
export interface OutlineMarks {
  /** Two places on a ruler that lies beside the piece, however it is turned. */
  ruler: readonly [PicturePoint, PicturePoint]
  ends: readonly [PicturePoint, PicturePoint]
  /** Upper and lower edge at equal distances between the ends, as shares of the height. */
  edges: readonly { top: number; bottom: number }[]
}

export interface ReadOutline {
  /** Whole millimetres. */
  length: number
  outline: OutlinePoint[]
}

const MIN_LENGTH = 20
const MIN_RULER = 0.001

/**
 * Length and widths of a piece from marks on its photograph. `rulerMm` lies between the two ruler marks;
 * `aspect` is the picture's height ÷ its width. Null where the ruler or the piece has no length.
 */
export function outlineFromMarks(
  { ruler, ends, edges }: OutlineMarks,
  { rulerMm, aspect }: { rulerMm: number; aspect: number },
): ReadOutline | null {
  const widths = Math.hypot(ruler[1].x - ruler[0].x, (ruler[1].y - ruler[0].y) * aspect)
  if (rulerMm <= 0 || widths < MIN_RULER || edges.length < 2) return null
  const pictureMm = rulerMm / widths
  const length = Math.round(Math.abs(ends[1].x - ends[0].x) * pictureMm)
  if (length < MIN_LENGTH) return null
  const outline = edges.map(({ top, bottom }, index) => ({
    at: (length * index) / (edges.length - 1),
    width: Math.max(1, Math.round(Math.abs(bottom - top) * aspect * pictureMm)),
  }))
  return { length, outline }
}
