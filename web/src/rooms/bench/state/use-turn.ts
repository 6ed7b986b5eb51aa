import { type PlannedPile, piecesIn } from '@fleam/core/fabrication'
import { givenSteps, nextPile, nextStepFor, type SequenceInput, unitOnBoard } from '@fleam/core/weighing'
import { useMemo, useState } from 'react'
import { afterOneMore, firstStep, progressOf, stepAfter, stepOfPile, wantedFrom } from './progress.ts'
import type { LiveFabrication } from './use-live-fabrication.ts'

interface ChosenPile {
  id: string
  /** Touched by the cook; otherwise it comes with the step, and a weight that does not fit it is asked about. */
  isFirm: boolean
}

export interface Turn {
  /** Place of the step that is shown, from 0. */
  stepAt: number
  goToStep: (at: number) => void
  /** The step is done: the next one of this cook is shown; says where there is none. */
  nextStep: () => void
  /** The pile that was touched, or that the step leads to, whatever lies on the scale. */
  pileInTurn: PlannedPile
  /** The pile in turn was touched by the cook. */
  isFirm: boolean
  pileById: (id: string | null | undefined) => PlannedPile | undefined
  choose: (pileId: string) => void
  /** A weighing of a pile was taken back: its pile and its step are there again. */
  backTo: (pileId: string) => void
  /**
   * A load was taken onto a pile: steps and piles lead on from there. Answers the number of the unit that comes onto
   * the board with it; null where it is still the same.
   */
  leadOn: (pile: PlannedPile, load: { grams: number; pieces: number | null }) => number | null
}

/** Whose turn it is: the step that is shown and the pile that the next weight belongs to. */
export function useTurn(live: LiveFabrication, cookId: string | null, say: (words: string) => void): Turn {
  const { record, ahead } = live
  const progress: SequenceInput = useMemo(() => progressOf(record, ahead), [record, ahead])
  const [lastPileId, setLastPileId] = useState(() => ahead.at(-1)?.pileId ?? null)
  const [chosen, setChosen] = useState<ChosenPile | null>(null)
  const [followsSteps, setFollowsSteps] = useState(false)
  const [stepAt, setStepAt] = useState(() => firstStep(record, progress, lastPileId))
  const pileById = (id: string | null | undefined) => record.piles.find((pile) => pile.id === id)
  // Bird by bird the pile under the hand of who follows the steps is the one of the step that is shown, or of the next
  // one that has a pile. Who weighs piece after piece without the steps keeps the pile of the pieces.
  const isByStep = record.rhythm === 'unit' && record.units > 1 && followsSteps
  const pileInTurn = (pileById(chosen?.id) ??
    (isByStep ? wantedFrom(record, progress, stepAt) : null) ??
    nextPile(progress, lastPileId) ??
    pileById(lastPileId) ??
    record.piles[0]) as PlannedPile
  const goToStep = (at: number) => {
    const place = Math.min(Math.max(0, at), Math.max(0, record.steps.length - 1))
    setStepAt(place)
    const wanted = wantedFrom(record, progress, place)
    setChosen(wanted ? { id: wanted.id, isFirm: false } : null)
  }
  const nextStep = () => {
    setFollowsSteps(true)
    const steps = record.steps.map(({ id }) => id)
    const next = nextStepFor({ steps, from: stepAt, given: givenSteps(live.marks), cookId })
    if (next !== null) goToStep(next)
    else if (stepAt < steps.length - 1) say('That was your last step: the others are given to other cooks.')
    else say('That was the last step: weigh what is left, then finish.')
  }
  return {
    stepAt,
    goToStep,
    nextStep,
    pileInTurn,
    isFirm: chosen?.isFirm ?? false,
    pileById,
    choose: (pileId) => {
      setChosen({ id: pileId, isFirm: true })
      const step = stepOfPile(record, pileById(pileId) ?? null)
      if (step > stepAt) setStepAt(step)
    },
    backTo: (pileId) => {
      setChosen({ id: pileId, isFirm: true })
      const step = stepOfPile(record, pileById(pileId) ?? null)
      if (step >= 0) setStepAt(step)
    },
    leadOn: (pile, load) => {
      const count = piecesIn(pile, load)
      // What is weighed later than its step leaves the cook at the step where the work is.
      const step = stepOfPile(record, pile)
      if (step < 0 || step >= stepAt) setStepAt(stepAfter(record, progress, pile, count))
      setLastPileId(pile.id)
      // A pile that was chosen stays chosen while it wants more; then the steps lead again.
      const after = afterOneMore(progress, pile.id, count)
      if (nextPile(after, pile.id)?.id !== pile.id) setChosen(null)
      const unit = unitOnBoard(after)
      return unit > unitOnBoard(progress) ? unit : null
    },
  }
}
