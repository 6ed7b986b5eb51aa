import type { WholeForm } from './buying-form.ts'
import type { ProductPlate } from './product-plate.ts'

/** Meat without bone on a usual plate, raw grams: assumed until the kitchen says what a plate of a product is. */
export const USUAL_EDIBLE_GRAMS = 180

/** As many whole pieces as come nearest to a usual plate, at least one; `ediblePerPiece` in grams. */
export const assumedPlate = (ediblePerPiece: number): ProductPlate => ({
  by: 'pieces',
  count: ediblePerPiece > 0 ? Math.max(1, Math.round(USUAL_EDIBLE_GRAMS / ediblePerPiece)) : 1,
})

/** Pieces on one plate; a part of a piece where meat is served by its weight. */
export function piecesOnPlate(plate: ProductPlate, ediblePerPiece: number): number {
  if (plate.by === 'pieces') return plate.count
  return ediblePerPiece > 0 ? plate.grams / ediblePerPiece : 1
}

/** Portions of a product that so many units give, in whichever form gives most of them; the units where none does. */
export function portionsFrom(whole: readonly WholeForm[], product: string, units: number): number {
  const perUnit = whole.flatMap(({ piles }) => piles.find(({ name }) => name === product)?.portions?.perUnit ?? [])
  return units * Math.max(0, ...perUnit) || units
}
