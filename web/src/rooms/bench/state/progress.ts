import { WHOLE_WORDS } from '@fleam/catalogue'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { ColdLoads, PlannedPile } from '@fleam/core/fabrication'
import { countsOf, nextPile, type SequenceInput, unitOnBoard, weighingsOf } from '@fleam/core/weighing'
import type { StandingReading } from '../../../outbox/merge.ts'

/** Where a fabrication stands: what is weighed, and what the order of the steps asks for next. */
export function progressOf(record: FabricationRecord, standing: readonly StandingReading[]): SequenceInput {
  const { piles, steps, units, rhythm } = record
  return { piles, steps, units, rhythm, counts: countsOf(piles, standing) }
}

/** The same after one more weighing of a pile. */
export function afterOneMore(progress: SequenceInput, pileId: string, pieces = 1): SequenceInput {
  return { ...progress, counts: new Map(progress.counts).set(pileId, (progress.counts.get(pileId) ?? 0) + pieces) }
}

/** Which of the batch is on the board, and of which load: `Bird 4 of 6, load 2`. */
export function unitWords({ species, units }: FabricationRecord, unit: number, { loads, waiting }: ColdLoads): string {
  const name = species === null ? 'piece' : WHOLE_WORDS[species]
  const words = `${name.charAt(0).toUpperCase()}${name.slice(1)} ${unit} of ${units}`
  if (loads.length === 1 && waiting === 0) return words
  let until = 0
  const load = loads.find((coldLoad) => {
    until += coldLoad.units
    return unit <= until
  })
  return `${words}, load ${load?.load ?? loads.length + 1}`
}

/** The step at which a pile leaves the board; −1 where no step says. */
export const stepOfPile = (record: FabricationRecord, pile: PlannedPile | null): number =>
  pile === null ? -1 : record.steps.findIndex((step) => step.pileIds.includes(pile.id))

/** The first pile that is still wanted at a step or after it; null where all of those are complete. */
export function wantedFrom(record: FabricationRecord, progress: SequenceInput, stepAt: number): PlannedPile | null {
  const ids = record.steps.slice(stepAt).flatMap((step) => step.pileIds)
  const isWanted = (pile: PlannedPile) => (progress.counts.get(pile.id) ?? 0) < weighingsOf(pile)
  for (const id of ids) {
    const pile = record.piles.find((pile) => pile.id === id)
    if (pile && isWanted(pile)) return pile
  }
  return null
}

/** Where to begin: at the first step of a fresh fabrication, else at the one whose pile is wanted next. */
export function firstStep(record: FabricationRecord, progress: SequenceInput, afterId: string | null): number {
  if (progress.counts.size === 0) return 0
  return Math.max(0, stepOfPile(record, nextPile(progress, afterId)))
}

/**
 * The step to show after a weighing: the same while its piles want more, then the one after it, so that
 * steps without a pile are not passed over; the first one when the next bird comes onto the board.
 */
export function stepAfter(record: FabricationRecord, before: SequenceInput, pile: PlannedPile, pieces = 1): number {
  const after = afterOneMore(before, pile.id, pieces)
  const next = nextPile(after, pile.id)
  const here = stepOfPile(record, pile)
  const there = stepOfPile(record, next)
  if (next === null) return Math.max(0, record.steps.length - 1)
  if (there === here) return Math.max(0, here)
  if (there > here) return here + 1
  return unitOnBoard(after) > unitOnBoard(before) ? 0 : Math.max(0, there)
}
