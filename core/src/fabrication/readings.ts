import type { Reading } from '../facts/index.ts'
import type { Pile } from './document.ts'
import type { PlannedPile } from './planned.ts'

/** What of a reading says how many pieces it is of. */
type WeighedPieces = Pick<Reading, 'grams'> & Partial<Pick<Reading, 'pieces' | 'source'>>

/** A number of portions this close below a whole one is that one: 0.1 x 30 is 3. */
const WHOLE_TOLERANCE = 1e-9

/** One piece heavier than this times its upper bound was not one piece. */
const MORE_THAN_ONE = 2

/**
 * A weighing onto a pile of pieces that can hardly be one piece, while nobody has said how many it is. What a document
 * brought as one piece is one.
 */
export function isUncounted({ weighing, target, high }: PlannedPile, reading: WeighedPieces): boolean {
  const { grams, pieces, source } = reading
  const bound = high ?? target
  if (source === 'imported') return false
  return weighing === 'pieces' && pieces == null && bound !== null && bound > 0 && grams > MORE_THAN_ONE * bound
}

/**
 * Pieces that a reading is of: as many as were said; one, where nobody said; where it can hardly be one, about as many
 * as the target says until somebody does.
 */
export function piecesIn(pile: PlannedPile, reading: WeighedPieces): number {
  if (pile.weighing === 'whole') return 1
  if (!isUncounted(pile, reading)) return reading.pieces ?? 1
  return Math.max(MORE_THAN_ONE, Math.round(reading.grams / ((pile.target ?? pile.high) as number)))
}

/** Piles with their weights, derived from what was planned and what was weighed. */
export function pilesFromReadings(
  planned: readonly PlannedPile[],
  standing: readonly (WeighedPieces & Pick<Reading, 'pileId'>)[],
): Pile[] {
  const readings = new Map<string, WeighedPieces[]>()
  for (const reading of standing) {
    const list = readings.get(reading.pileId)
    if (list) list.push(reading)
    else readings.set(reading.pileId, [reading])
  }
  return planned.map((pile) => pileOf(pile, readings.get(pile.id) ?? []))
}

function pileOf(planned: PlannedPile, readings: readonly WeighedPieces[]): Pile {
  const pile: Pile = { name: planned.name, class: planned.class }
  if (planned.kind) pile.kind = planned.kind
  const counts = readings.map((reading) => piecesIn(planned, reading))
  const perPiece = planned.weighing === 'pieces' ? (planned.portionsPerPiece ?? 1) : 1
  // Of pieces that were weighed together the mean is known, and no single one; a piece that is no portion has no bounds of one.
  const isSingle = planned.weighing === 'pieces' && perPiece === 1 && counts.every((count) => count === 1)
  if (isSingle) pile.pieces = readings.map(({ grams }) => grams)
  else pile.weight = readings.reduce((sum, { grams }) => sum + grams, 0)
  if (planned.weighing === 'pieces' && !isSingle) {
    const pieces = counts.reduce((sum, count) => sum + count, 0)
    pile.portions = Math.floor(pieces * perPiece + WHOLE_TOLERANCE)
  }
  if (planned.weighing === 'whole' && planned.portions !== null) pile.portions = planned.portions
  for (const key of ['target', 'low', 'high'] as const) {
    const value = planned[key]
    if (value !== null) pile[key] = value / perPiece
  }
  for (const key of ['valuePerKg', 'usedShare', 'processingPerKg'] as const) {
    const value = planned[key]
    if (value !== null) pile[key] = value
  }
  return pile
}

/** What the style expects a pile to weigh, grams, of an AP weight in grams; null where nothing is known. */
export function expectedWeight(planned: PlannedPile, ap: number): number | null {
  return planned.expectedShare === null ? null : planned.expectedShare * ap
}
