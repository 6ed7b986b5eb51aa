import type { PlatePiece, PlateRequest, Plating, PlatingRequest } from './plate-request.ts'
/** Any kind will do. */
export const ANY_KIND = 'any'

/** Places of the pieces that make a plate, by their order in the request. */
export type PlateSet = readonly number[]

/** Grams of the pieces on a plate. */
export const weightOfSet = (pieces: readonly PlatePiece[], set: PlateSet): number =>
  set.reduce((sum, index) => sum + (pieces[index] as PlatePiece).weight, 0)

/** How many pieces one plate takes. */
export const piecesOnPlate = ({ needs }: PlateRequest): number => needs.reduce((sum, need) => sum + need.count, 0)

/** The kinds of the places on a plate, in order: named kinds first, so that what is left may be anything. */
export const slotsOf = ({ needs }: PlateRequest): string[] =>
  [...needs]
    .sort((a, b) => Number(a.kind === ANY_KIND) - Number(b.kind === ANY_KIND))
    .flatMap(({ kind, count }) => Array.from({ length: count }, () => kind))

/** The answer for the plates that were made, in the order in which they are given. */
export function platingOf({ pieces }: PlatingRequest, sets: readonly PlateSet[], gap: number): Plating {
  const plates = sets.map((set) => ({
    ids: set.map((at) => (pieces[at] as PlatePiece).id),
    weight: weightOfSet(pieces, set),
  }))
  const used = new Set(sets.flat())
  const weights = plates.map((plate) => plate.weight)
  const [lightest, heaviest] = [Math.min(...weights), Math.max(...weights)]
  const isEmpty = plates.length === 0
  return {
    plates,
    left: pieces.flatMap((piece, index) => (used.has(index) ? [] : [piece.id])),
    mean: isEmpty ? null : weights.reduce((sum, weight) => sum + weight, 0) / weights.length,
    spread: isEmpty ? null : heaviest - lightest,
    fairness: isEmpty || lightest <= 0 ? null : heaviest / lightest,
    gap,
  }
}
