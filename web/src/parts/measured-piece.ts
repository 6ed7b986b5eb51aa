import { type ItemShape, SHAPES } from '@fleam/catalogue'
import {
  type KnifeLines,
  knifeLines,
  type Piece,
  pieceFromGirths,
  pieceFromOutline,
  pieceFromTemplate,
  trimFillet,
} from '@fleam/core/portioning'
import { readSetting, writeSetting } from '../data/settings.ts'

const KEPT = 'knife-lines'

/** The piece that was planned on this device last; null where there is none, or none that can be read. */
export function keptKnifeLines(): KnifeLines | null {
  try {
    const read = knifeLines.safeParse(JSON.parse(readSetting(KEPT) ?? 'null'))
    return read.success ? read.data : null
  } catch {
    // Half a text is no piece.
    return null
  }
}

export const keepKnifeLines = (draft: KnifeLines): void => writeSetting(KEPT, JSON.stringify(draft))

/** The shape of a draft; one that is not known here any more stands for the first. */
export const shapeById = (id: string): ItemShape => SHAPES.find((shape) => shape.id === id) ?? (SHAPES[0] as ItemShape)

/** The piece of a draft as it was measured, before anything came off. */
export function measuredPiece(draft: KnifeLines): Piece {
  const { template } = shapeById(draft.shape)
  const { weight, length, way, girths, outline, biasAngle } = draft
  const piece =
    way === 'girths'
      ? pieceFromGirths(weight, length, girths)
      : way === 'outline' && outline.length >= 2
        ? pieceFromOutline(weight, length, outline, template)
        : pieceFromTemplate(template, weight, length)
  return biasAngle > 0 ? { ...piece, biasAngle } : piece
}

/** The piece that is cut across: a fillet without its belly and without the notch along its pin bones. */
export function wholePiece(draft: KnifeLines): Piece {
  return trimmed(draft).loin
}

/** What comes off a fillet first, and what is left of it. */
export function trimmed(draft: KnifeLines) {
  const { belly, notch } = draft
  return trimFillet(measuredPiece(draft), {
    ...(belly ? { belly } : {}),
    ...(notch ? { notch } : {}),
  })
}
