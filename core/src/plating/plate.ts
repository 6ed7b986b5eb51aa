export interface PlatePiece {
  id: string
  /** Grams. */
  weight: number
  kind: string
}

/** Any kind will do. */
export const ANY_KIND = 'any'

export interface PlateNeed {
  kind: string
  count: number
}

export interface PlateRequest {
  low: number
  target: number
  high: number
  /** Kinds and counts of one plate. */
  needs: readonly PlateNeed[]
}

export interface PlatingRequest {
  pieces: readonly PlatePiece[]
  plate: PlateRequest
}

export interface Plate {
  ids: string[]
  weight: number
}

export interface Plating {
  plates: Plate[]
  /** Ids of the pieces that are on no plate. */
  left: string[]
  /** Mean weight of the plates; null where there are none. */
  mean: number | null
  /** Heaviest less lightest. */
  spread: number | null
  /** Heaviest ÷ lightest: 1 is perfectly fair. */
  fairness: number | null
  /** How far the answer may be from the best there is, as a share; 0 where it is proven. */
  gap: number
}

/** Places of the pieces that make a plate, by their order in the request. */
export type PlateSet = readonly number[]

export const weightOfSet = (pieces: readonly PlatePiece[], set: PlateSet): number =>
  set.reduce((sum, at) => sum + (pieces[at] as PlatePiece).weight, 0)

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
    left: pieces.flatMap((piece, at) => (used.has(at) ? [] : [piece.id])),
    mean: isEmpty ? null : weights.reduce((sum, weight) => sum + weight, 0) / weights.length,
    spread: isEmpty ? null : heaviest - lightest,
    fairness: isEmpty || lightest <= 0 ? null : heaviest / lightest,
    gap,
  }
}
