import type { FabricationState } from '@fleam/contract'
import {
  boundOf,
  givenSteps,
  isUncounted,
  looksLike,
  nextPile,
  nextStepFor,
  type PlannedPile,
  piecesIn,
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
  /** A typed weight, of so many pieces where somebody said how many. */
  takeTyped: (grams: number, pieces: number | null) => void
  /** Tares the scale; where it does not answer, the scale's own line says so. */
  tare: () => void
  /** Undoes what this cook did last on this device, whatever it was; `redo` does it again. */
  undo: () => void
  redo: () => void
  /** Says how many pieces a weighing is of. */
  countPieces: (readingId: string, pieces: number) => void
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
  const settings = useBenchSettings()
  const live = useLiveFabrication(state, settings.cookId)
  const format = useFormat(state.record.currency)
  const { record, standing } = live
  const progress = useMemo(() => progressOf(record, standing), [record, standing])
  const [lastPileId, setLastPileId] = useState(() => standing.at(-1)?.pileId ?? null)
  const [chosen, setChosen] = useState<ChosenPile | null>(null)
  const [stepAt, setStepAt] = useState(() => firstStep(record, progress, lastPileId))
  const [said, setSaid] = useState('')
  const [pickedId, setPickedId] = useState<string | null>(null)

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
  const take = (pile: PlannedPile, grams: number, source: 'scale' | 'typed', pieces: number | null = null) => {
    const isMany = isUncounted(pile, { grams, pieces })
    // Of pieces weighed together no single one is judged.
    const isOne = pile.weighing === 'pieces' && pieces === null && !isMany
    const bound = isOne ? boundOf(grams, pile.low, pile.high) : 'within'
    if (source === 'scale') scale.markTaken()
    const words = `${format.weight(grams)}${pieces === null ? '' : `, ${pieces} pieces`}: ${pile.name}`
    setSaid(`Took ${words}${isMany ? ': how many pieces?' : BOUND_SAID[bound]}`)
    if (isMany) signal('doubt', 'how many?')
    else signal(bound === 'within' ? 'taken' : 'doubt', bound === 'within' ? 'taken' : BOUND_SPOKEN[bound])
    const count = piecesIn(pile, { grams, pieces })
    // What is weighed later than its step leaves the cook at the step where the work is.
    const step = stepOfPile(record, pile)
    if (step < 0 || step >= stepAt) setStepAt(stepAfter(record, progress, pile, count))
    setLastPileId(pile.id)
    // A pile that was chosen stays chosen while it wants more; then the steps lead again.
    if (nextPile(afterOneMore(progress, pile.id, count), pile.id)?.id !== pile.id) setChosen(null)
    void live.take(words, { pileId: pile.id, grams, source, pieces, cookId: settings.cookId ?? record.cookId })
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
    const words = `${format.weight(reading.grams)} to ${pile.name}`
    setSaid(`Moved ${words}`)
    void live.move(`move ${words}`, reading.id, pile.id)
  }
  const picked = standing.find((each) => each.id === pickedId) ?? null
  const touchPile = (pileId: string) => {
    const pile = pileById(pileId)
    if (!pile) return
    if (picked) return moveTo(picked, pile)
    const isSame = pileId === activePile.id
    setChosen({ id: pileId, isFirm: true })
    const step = stepOfPile(record, pile)
    if (step > stepAt) setStepAt(step)
    // Touching the pile that is chosen already can only mean to weigh: then it says why it cannot.
    takeSettled(pile, isSame)
  }
  /** The bench as it is without a reading: it may lie on the plate still, and its pile is wanted again. */
  const leave = (reading: StandingReading) => {
    // Only what this device weighed last can still lie on the plate.
    if (reading.id === standing.findLast((each) => each.isMine)?.id) {
      auto.leaveAlone(reading.grams)
      scale.forgetTaken()
    }
    setChosen({ id: reading.pileId, isFirm: true })
  }
  const withdraw = (readingId: string) => {
    const reading = standing.find((each) => each.id === readingId)
    const pile = pileById(reading?.pileId ?? null)
    setPickedId(null)
    if (!reading || !pile) return
    const words = `${format.weight(reading.grams)}: ${pile.name}`
    setSaid(`Deleted ${words}`)
    leave(reading)
    void live.withdraw(`delete ${words}`, readingId)
  }
  const undo = () => {
    const { lastAct } = live
    setPickedId(null)
    // What another cook did, or this one on another device, is theirs to undo.
    if (!lastAct) return setSaid('Nothing to undo on this device.')
    const reading = standing.find((each) => lastAct.factIds.includes(each.id))
    if (reading) leave(reading)
    setSaid(`Undone: ${lastAct.words}`)
    live.undo()
  }
  const redo = () => {
    if (!live.lastUndone) return setSaid('Nothing to do again.')
    setSaid(`Done again: ${live.lastUndone.words}`)
    live.redo()
  }
  const countPieces = (readingId: string, pieces: number) => {
    const reading = standing.find((each) => each.id === readingId)
    setPickedId(null)
    if (!reading) return
    const words = `${format.weight(reading.grams)} is ${pieces === 1 ? 'one piece' : `${pieces} pieces`}`
    setSaid(words)
    void live.count(words, readingId, pieces)
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
      const cookId = settings.cookId ?? record.cookId
      if (step) void live.mark(`step done, ${step.title}`, { mark: 'step-done', step: step.id, cookId })
      const next = nextStepFor({
        steps: record.steps.map(({ id }) => id),
        from: stepAt,
        given: givenSteps(live.marks),
        cookId: settings.cookId,
      })
      if (next !== null) goToStep(next)
      else if (stepAt < record.steps.length - 1)
        setSaid('That was your last step: the others are given to other cooks.')
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
    takeTyped: (grams, pieces) => take(pileInTurn, grams, 'typed', pieces),
    tare: () => void tareScale({ kitchenId: kitchen.id, fabricationId: record.id }).catch(() => {}),
    undo,
    redo,
    countPieces,
    withdraw,
  }
}

const BOUND_SAID = { below: ', too light', within: '', above: ', too heavy' } as const
const BOUND_SPOKEN = { below: 'too light', above: 'too heavy' } as const
