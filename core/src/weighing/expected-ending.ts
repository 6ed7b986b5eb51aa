import { servedPieces } from '../costing/index.ts'
import {
  expectedWeight,
  type FabricationDocument,
  type FabricationPlan,
  type Pile,
  type PlannedPile,
  pileWeight,
} from '../fabrication/index.ts'
import type { Mark } from '../facts/index.ts'
import { type Rhythm, weighingsOf } from './sequence.ts'

/** What of a record says when nothing more is to come of a pile. */
export interface FinishInput {
  status: FabricationPlan['status']
  piles: readonly PlannedPile[]
  steps: readonly { id: string; pileIds: readonly string[] }[]
  units: number
  rhythm: Rhythm
}

/** How far a batch is: the steps that were done, and pieces on each pile by its id. */
export interface SoFar {
  marks: readonly Pick<Mark, 'mark' | 'step'>[]
  counts: ReadonlyMap<string, number>
}

/**
 * Ids of the piles of which nothing more is to come: all pieces are weighed, every step at which the pile leaves the
 * board is done for the last unit, or the record is not open any more. That something lies on a pile finishes nothing.
 */
export function finishedPiles(
  { status, piles, steps, units, rhythm }: FinishInput,
  { marks, counts }: SoFar,
): Set<string> {
  if (status !== 'open') return new Set(piles.map(({ id }) => id))
  const done = new Map<string, number>()
  for (const { mark, step } of marks) {
    if (mark === 'step-done' && step !== null) done.set(step, (done.get(step) ?? 0) + 1)
  }
  // Bird by bird a step is done once for each; step by step it is done once for all.
  const rounds = rhythm === 'unit' ? units : 1
  const isFinished = (pile: PlannedPile) => {
    if (pile.weighing === 'pieces' && pile.portions !== null && (counts.get(pile.id) ?? 0) >= weighingsOf(pile))
      return true
    const stepsOfPile = steps.filter(({ pileIds }) => pileIds.includes(pile.id))
    return stepsOfPile.length > 0 && stepsOfPile.every(({ id }) => (done.get(id) ?? 0) >= rounds)
  }
  return new Set(piles.filter(isFinished).map(({ id }) => id))
}

/**
 * Grams that each pile will weigh in the end. A finished pile weighs what lies in it; of the others each gets the
 * larger of what lies in it and its share of what came in. Where that is more than came in, the shares of the
 * unfinished give way in one proportion, and what was weighed is never argued with: `max(weighed, f × share)` with the
 * largest `f` up to 1 that keeps the whole within what came in. So exactly what is expected moves nothing, in any order.
 */
export function expectedWeights(
  piles: readonly { weighed: number; expected: number | null; isFinished: boolean }[],
  cameIn: number,
): number[] {
  const at = (factor: number) =>
    piles.map(({ weighed, expected, isFinished }) =>
      isFinished || expected === null ? weighed : Math.max(weighed, factor * expected),
    )
  const total = (factor: number) => at(factor).reduce((sum, weight) => sum + weight, 0)
  if (total(1) <= cameIn) return at(1)
  // The whole grows with the factor piece by piece: between two turns, where a pile leaves what lies in it, it is a line.
  const turns = piles.flatMap(({ weighed, expected, isFinished }) =>
    !isFinished && expected !== null && expected > 0 && weighed < expected ? [weighed / expected] : [],
  )
  const below = Math.max(0, ...turns.filter((turn) => total(turn) <= cameIn))
  const rising = piles.filter(
    ({ weighed, expected, isFinished }) =>
      !isFinished && expected !== null && expected > 0 && weighed / expected <= below,
  )
  const slope = rising.reduce((sum, { expected }) => sum + (expected ?? 0), 0)
  return at(slope > 0 ? Math.min(1, below + Math.max(0, cameIn - total(below)) / slope) : 0)
}

/**
 * The document of a fabrication as it would end if what is not weighed yet came out as the style expects. Portions
 * are those served of what was weighed, and one for each piece still to come.
 */
export function expectedDocument(
  record: FabricationPlan & FinishInput,
  document: FabricationDocument,
  soFar: SoFar,
): FabricationDocument {
  const finished = finishedPiles(record, soFar)
  const { invoiceWeight, receivedWeight = invoiceWeight, purge = 0 } = document.purchase
  const weights = expectedWeights(
    record.piles.map((plan, index) => ({
      weighed: pileWeight(document.piles[index] as Pile),
      expected: expectedWeight(plan, receivedWeight),
      isFinished: finished.has(plan.id),
    })),
    receivedWeight - purge,
  )
  const piles = document.piles.map((pile, index) => {
    const plan = record.piles[index] as PlannedPile
    return pileAtEnd(plan, pile, weights[index] as number, soFar.counts.get(plan.id) ?? 0)
  })
  return { ...document, piles }
}

/** A portion count this close below a whole one is that one. */
const WHOLE_TOLERANCE = 1e-9

function pileAtEnd(plan: PlannedPile, pile: Pile, weight: number, weighedPieces: number): Pile {
  const missing = plan.weighing === 'pieces' ? Math.max(0, (plan.portions ?? 0) - weighedPieces) : 0
  if (missing === 0 && weight === pileWeight(pile)) return pile
  const { pieces: _weighed, ...rest } = pile
  if (plan.weighing === 'whole' || plan.portions === null) return { ...rest, weight }
  // Of those to come only their number and their weight in all are known.
  const served = pile.pieces ? servedPieces(pile).length : (pile.portions ?? 0)
  const portions = served + Math.floor(missing * (plan.portionsPerPiece ?? 1) + WHOLE_TOLERANCE)
  return { ...rest, weight, portions }
}
