import { type PlannedPile, piecesIn } from '../fabrication/index.ts'
import type { Reading } from '../facts/index.ts'

/** Bird by bird, or one step for all birds. */
export const RHYTHMS = ['unit', 'step'] as const
export type Rhythm = (typeof RHYTHMS)[number]

/** What the order of weighing depends on. */
export interface SequenceInput {
  piles: readonly PlannedPile[]
  /** The piles that leave the board at each step, in the order of the steps. */
  steps: readonly { pileIds: readonly string[] }[]
  /** Birds, loins or racks in the batch, at least one. */
  units: number
  rhythm: Rhythm
  /** Weighings that stand, by the id of the pile. */
  counts: ReadonlyMap<string, number>
}

/** Pieces on each pile, by its id; a weighing of a pile weighed whole counts as one. */
export function countsOf(
  piles: readonly PlannedPile[],
  standing: readonly (Pick<Reading, 'pileId' | 'grams'> & Partial<Pick<Reading, 'pieces' | 'source'>>)[],
): Map<string, number> {
  const byId = new Map(piles.map((pile) => [pile.id, pile]))
  const counts = new Map<string, number>()
  for (const reading of standing) {
    const pile = byId.get(reading.pileId)
    if (pile) counts.set(pile.id, (counts.get(pile.id) ?? 0) + piecesIn(pile, reading))
  }
  return counts
}

/** Piles in the order in which they leave the board; those of no step come last. */
export function pilesInStepOrder({ piles, steps }: Pick<SequenceInput, 'piles' | 'steps'>): PlannedPile[] {
  const ids = [...new Set(steps.flatMap((step) => step.pileIds))]
  const inSteps = ids.flatMap((id) => piles.filter((pile) => pile.id === id))
  return [...inSteps, ...piles.filter((pile) => !ids.includes(pile.id))]
}

/** Weighings that make a pile complete: each piece of one weighed by pieces, one of a pile weighed whole. */
export function weighingsOf(pile: PlannedPile): number {
  return pile.weighing === 'pieces' ? Math.max(1, pile.portions ?? 1) : 1
}

/**
 * The unit that is on the board, 1 to `units`: the first one whose pieces are not all weighed. In a batch
 * that goes step by step there is one round, and this is 1.
 */
export function unitOnBoard(input: SequenceInput): number {
  if (input.rhythm === 'step' || input.units <= 1) return 1
  return Math.min(input.units, unitsDone(input) + 1)
}

/** Units of which every counted piece is weighed; 0 where nothing is weighed by the piece. */
export function unitsDone(input: Pick<SequenceInput, 'piles' | 'units' | 'counts'>): number {
  const rounds = input.piles.filter((pile) => pile.weighing === 'pieces').map((pile) => roundsDone(pile, input))
  return rounds.length === 0 ? 0 : Math.min(input.units, ...rounds)
}

const isWhole = (value: number) => Math.abs(value - Math.round(value)) < 1e-9

/** Whole units whose pieces of this pile are weighed. */
function roundsDone(pile: PlannedPile, { units, counts }: Pick<SequenceInput, 'units' | 'counts'>): number {
  const perUnit = weighingsOf(pile) / units
  return Math.floor((counts.get(pile.id) ?? 0) / perUnit + 1e-9)
}

/**
 * The pile to weigh next: the first in the order of the steps that is not complete. Bird by bird, pieces of
 * the bird on the board come first, and what is weighed whole for the batch comes when all birds are cut.
 * `afterId` is the pile of the last weighing: it stays as long as it wants more pieces, and what comes after
 * it is looked at before what was passed over. Null when everything is weighed.
 */
export function nextPile(input: SequenceInput, afterId: string | null = null): PlannedPile | null {
  const order = pilesInStepOrder(input)
  const unit = unitOnBoard(input)
  const isByUnit = input.rhythm === 'unit' && input.units > 1
  const wanted = (pile: PlannedPile) => {
    const count = input.counts.get(pile.id) ?? 0
    const perUnit = pile.weighing === 'pieces' ? weighingsOf(pile) / input.units : null
    return isByUnit && perUnit !== null
      ? Math.min(weighingsOf(pile), perUnit * unit) - count
      : weighingsOf(pile) - count
  }
  const open = order.filter((pile) => wanted(pile) > 1e-9)
  const first = isByUnit ? open.filter((pile) => pile.weighing === 'pieces') : open
  const candidates = first.length > 0 ? first : open
  if (afterId === null) return candidates[0] ?? null
  const place = order.findIndex((pile) => pile.id === afterId)
  const after = order[place]
  // With its pieces of this bird weighed, the cook goes on: the next bird's come when it is on the board.
  const isRoundDone =
    isByUnit && after !== undefined && isWhole(((input.counts.get(after.id) ?? 0) * input.units) / weighingsOf(after))
  const from = isRoundDone ? place + 1 : place
  return candidates.find((pile) => order.indexOf(pile) >= from) ?? candidates[0] ?? null
}
