import type { CutPiece } from './plan-answer.ts'
import type { PortionProduct } from './plan-request.ts'
import type { Shape } from './profile.ts'

export type MisfitReason = 'too-light' | 'too-heavy' | 'too-thin' | 'too-thick' | 'face-too-small' | 'outside-its-place'

/** Weights this close to a bound are within it: the scale cannot tell. */
const TOLERANCE = 1e-9

/** What lies between two places, measured as the product is measured. */
export function measurePiece(
  shape: Shape,
  product: Pick<PortionProduct, 'folded'>,
  from: number,
  to: number,
): CutPiece {
  const layers = product.folded ? 2 : 1
  // Two layers have twice the area: the diameter grows by the root of two.
  const face = (at: number) => shape.faceAt(at) * Math.sqrt(layers)
  return {
    from,
    to,
    weight: shape.weightBetween(from, to),
    thickness: shape.thicknessBetween(from, to) / layers,
    faces: [face(from), face(to)],
  }
}

/** Why a piece is not the product; empty where it fits. `step` is how near a target thickness it can be cut. */
export function misfits(piece: CutPiece, product: PortionProduct, step: number): MisfitReason[] {
  const reasons: MisfitReason[] = []
  const { minThickness = 0, maxThickness = Number.POSITIVE_INFINITY, targetThickness, minFace = 0, within } = product
  if (piece.weight < product.low - TOLERANCE) reasons.push('too-light')
  if (piece.weight > product.high + TOLERANCE) reasons.push('too-heavy')
  const least = targetThickness === undefined ? minThickness : Math.max(minThickness, targetThickness - step / 2)
  const most = targetThickness === undefined ? maxThickness : Math.min(maxThickness, targetThickness + step / 2)
  if (piece.thickness < least - TOLERANCE) reasons.push('too-thin')
  if (piece.thickness > most + TOLERANCE) reasons.push('too-thick')
  if (Math.min(...piece.faces) < minFace - TOLERANCE) reasons.push('face-too-small')
  if (within && (piece.from < within[0] - TOLERANCE || piece.to > within[1] + TOLERANCE))
    reasons.push('outside-its-place')
  return reasons
}
