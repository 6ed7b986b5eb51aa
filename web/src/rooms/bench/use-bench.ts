import type { FabricationState } from '@fleam/contract'
import {
  boundOf,
  looksLike,
  nextPile,
  type PlannedPile,
  pileBySize,
  type ScaleView,
  type SequenceInput,
  unitOnBoard,
} from '@fleam/core'
import { useMemo, useState } from 'react'
import { useKitchen } from '../../data/kitchen-context.ts'
import { tareScale } from '../../data/scale.ts'
import type { StandingReading } from '../../outbox/merge.ts'
import { useFormat } from '../../parts/use-format.ts'
import { sound, speak, type Tone } from '../../parts/voice.ts'
import { type BenchSettingsState, useBenchSettings } from './bench-settings.ts'
import { afterOneMore, firstStep, progressOf, stepAfter, stepOfPile, wantedFrom } from './progress.ts'
import { useAutoTake } from './use-auto-take.ts'
import { type BenchScaleState, useBenchScale } from './use-bench-scale.ts'
import { type ChecksState, useChecks } from './use-checks.ts'
import { type ContainersState, useContainersOfPiles } from './use-container.ts'
import { type LiveFabrication, useLiveFabrication } from './use-live-fabrication.ts'

export interface Bench {
  live: LiveFabrication
  scale: BenchScaleState
  /** What there is to take for the active pile, its container taken off. */
  view: ScaleView
  settings: BenchSettingsState
  containers: ContainersState
  checks: ChecksState
  progress: SequenceInput
  /** The bird on the board, from 1. */
  unit: number
  /** Place of the step that is shown, from 0. */
  stepAt: number
  goToStep: (at: number) => void
  /** The step is done and its check is right: it is recorded, and the next one is shown. */
  nextStep: () => void
  /** The pile that was touched, or that the step leads to, whatever lies on the scale. */
  pileInTurn: PlannedPile
  /** Where the next weight goes: the pile in turn, or the one that the load looks like. */
  activePile: PlannedPile
  /** The pile that the weight on the scale looks like, where that is not the active one. */
  likeness: PlannedPile | null
  /** What was done last, in words, also for those who listen. */
  said: string
  /** A weighing that was picked: it can be taken back, or moved by touching its pile. */
  picked: StandingReading | null
  pick: (readingId: string | null) => void
  /** Chooses a pile; a settled load that is not taken yet is taken onto it, so that one touch weighs one pile. */
  touchPile: (pileId: string) => void
  /** Takes the settled load onto the active pile; says why where it cannot. */
  takeSettled: () => void
  takeTyped: (grams: number) => void
  /** Tares the scale; where it does not answer, the scale's own line says so. */
  tare: () => void
  undo: () => void
  withdraw: (readingId: string) => void
}

const WHY_NOT = {
  away: 'The scale does not answer: type the weight.',
  empty: 'Nothing lies on the scale.',
  moving: 'Wait until it settles.',
  'out-of-range': 'The scale is out of its range.',
  taken: 'This one is taken already: lift it off first.',
} as const

interface ChosenPile {
  id: string
  /** Touched by the cook; otherwise it comes with the step, and a weight that does not fit it is asked about. */
  isFirm: boolean
}

/** Everything a cook can do at the bench, by touch, key or number pad alike. */
export function useBench(state: FabricationState): Bench {
  const kitchen = useKitchen()
  const live = useLiveFabrication(state)
  const settings = useBenchSettings()
  const format = useFormat(state.record.currency)
  const { record, standing } = live
  const progress = useMemo(() => progressOf(record, standing), [record, standing])
  const [lastPileId, setLastPileId] = useState(() => standing.at(-1)?.pileId ?? null)
  const [chosen, setChosen] = useState<ChosenPile | null>(null)
  const [stepAt, setStepAt] = useState(() => firstStep(record, progress, lastPileId))
  const [said, setSaid] = useState('')
  const [pickedId, setPickedId] = useState<string | null>(null)
  const [lastMove, setLastMove] = useState<{ readingId: string; from: string } | null>(null)

  const pileById = (id: string | null) => record.piles.find((pile) => pile.id === id)
  const pileInTurn = (pileById(chosen?.id ?? null) ??
    nextPile(progress, lastPileId) ??
    pileById(lastPileId) ??
    record.piles[0]) as PlannedPile
  const containers = useContainersOfPiles()
  const scale = useBenchScale()
  const viewFor = (pile: PlannedPile) => scale.viewWith(containers.of(pile.name)?.grams ?? 0)
  const checks = useChecks(live, progress)

  const ap = record.purchase.invoiceWeight
  const readyGrams = (pile: PlannedPile) => {
    const view = viewFor(pile)
    return view.kind === 'ready' ? view.grams : 0
  }
  const inTurnGrams = readyGrams(pileInTurn)
  const isPlausible = inTurnGrams === 0 || chosen?.isFirm || looksLike(pileInTurn, inTurnGrams, ap)
  const likeness = isPlausible ? null : pileBySize({ piles: record.piles, ap, counts: progress.counts }, readyGrams)
  const activePile = likeness ?? pileInTurn

  const signal = (tone: Tone, words: string) => {
    if (settings.sound) sound(tone)
    if (settings.voice) speak(words)
  }
  const take = (pile: PlannedPile, grams: number, source: 'scale' | 'typed') => {
    const bound = pile.weighing === 'pieces' ? boundOf(grams, pile.low, pile.high) : 'within'
    if (source === 'scale') scale.markTaken()
    setSaid(`Took ${format.weight(grams)}: ${pile.name}${BOUND_SAID[bound]}`)
    signal(bound === 'within' ? 'taken' : 'doubt', bound === 'within' ? 'taken' : BOUND_SPOKEN[bound])
    setStepAt(stepAfter(record, progress, pile))
    setLastPileId(pile.id)
    setLastMove(null)
    // A pile that was chosen stays chosen while it wants more; then the steps lead again.
    if (nextPile(afterOneMore(progress, pile.id), pile.id)?.id !== pile.id) setChosen(null)
    void live.take({ pileId: pile.id, grams, source, cookId: settings.cookId ?? record.cookId })
  }
  const takeSettled = (pile: PlannedPile, isAsked: boolean) => {
    const view = viewFor(pile)
    if (view.kind === 'ready') take(pile, view.grams, 'scale')
    else if (isAsked) setSaid(WHY_NOT[view.kind])
  }
  const auto = useAutoTake({
    isOn: settings.takesItself && record.status === 'open',
    view: viewFor(activePile),
    isPlausible,
    take: () => takeSettled(activePile, false),
    ask: () => {
      setSaid(likeness ? `Which pile? It looks like ${likeness.name}.` : 'Which pile?')
      signal('doubt', 'which pile?')
    },
  })
  const moveTo = (reading: StandingReading, pile: PlannedPile) => {
    setPickedId(null)
    if (reading.pileId === pile.id) return
    setSaid(`Moved ${format.weight(reading.grams)} to ${pile.name}`)
    setLastMove({ readingId: reading.id, from: reading.pileId })
    void live.move(reading.id, pile.id)
  }
  const picked = standing.find((each) => each.id === pickedId) ?? null
  const touchPile = (pileId: string) => {
    const pile = pileById(pileId)
    if (!pile) return
    if (picked) return moveTo(picked, pile)
    const isSame = pileId === activePile.id
    setChosen({ id: pileId, isFirm: true })
    const step = stepOfPile(record, pile)
    if (step >= 0) setStepAt(step)
    // Touching the pile that is chosen already can only mean to weigh: then it says why it cannot.
    takeSettled(pile, isSame)
  }
  const withdraw = (readingId: string) => {
    const reading = standing.find((each) => each.id === readingId)
    const pile = pileById(reading?.pileId ?? null)
    setPickedId(null)
    if (!reading || !pile) return
    setSaid(`Took back ${format.weight(reading.grams)}: ${pile.name}`)
    // Only what this device weighed last can still lie on the plate.
    if (reading.id === standing.findLast((each) => each.isMine)?.id) {
      auto.leaveAlone(reading.grams)
      scale.forgetTaken()
    }
    setChosen({ id: pile.id, isFirm: true })
    void live.withdraw(readingId)
  }
  const undo = () => {
    const moved = standing.find((each) => each.id === lastMove?.readingId)
    const from = pileById(lastMove?.from ?? null)
    if (moved && from) {
      moveTo(moved, from)
      setLastMove(null)
      return
    }
    // What another cook weighed on another device is theirs to take back.
    const last = standing.findLast((each) => each.isMine)
    if (last) withdraw(last.id)
    else setSaid('Nothing to take back on this device.')
  }
  const goToStep = (at: number) => {
    const place = Math.min(Math.max(0, at), Math.max(0, record.steps.length - 1))
    setStepAt(place)
    const wanted = wantedFrom(record, progress, place)
    setChosen(wanted ? { id: wanted.id, isFirm: false } : null)
  }
  return {
    live,
    scale,
    view: viewFor(activePile),
    settings,
    containers,
    checks,
    progress,
    unit: unitOnBoard(progress),
    stepAt,
    goToStep,
    nextStep: () => {
      const step = record.steps[stepAt]
      if (step) void live.mark({ mark: 'step-done', step: step.id, cookId: settings.cookId ?? record.cookId })
      if (stepAt < record.steps.length - 1) goToStep(stepAt + 1)
      else setSaid('That was the last step: weigh what is left, then finish.')
    },
    pileInTurn,
    activePile,
    likeness,
    said,
    picked,
    pick: (id) => setPickedId(id === pickedId ? null : id),
    touchPile,
    takeSettled: () => takeSettled(activePile, true),
    takeTyped: (grams) => take(pileInTurn, grams, 'typed'),
    tare: () => void tareScale({ kitchenId: kitchen.id, fabricationId: record.id }).catch(() => {}),
    undo,
    withdraw,
  }
}

const BOUND_SAID = { below: ', too light', within: '', above: ', too heavy' } as const
const BOUND_SPOKEN = { below: 'too light', above: 'too heavy' } as const
