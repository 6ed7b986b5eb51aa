import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { PlannedPile } from '@fleam/core/fabrication'
import { type ScaleView, type SequenceInput, unitOnBoard } from '@fleam/core/weighing'
import { useMemo } from 'react'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { tareScale } from '../../../data/scale.ts'
import type { StandingReading } from '../../../outbox/merge.ts'
import { useFormat } from '../../../parts/use-format.ts'
import { type BenchSettingsState, useBenchSettings } from './bench-settings.ts'
import { progressOf, unitWords } from './progress.ts'
import type { BenchScaleState } from './use-bench-scale.ts'
import { type ChecksState, useChecks } from './use-checks.ts'
import { useColdLoads } from './use-cold-loads.ts'
import type { ContainersState } from './use-container.ts'
import { type LiveFabrication, useLiveFabrication } from './use-live-fabrication.ts'
import { useLoad } from './use-load.ts'
import { type PutRight, usePutRight } from './use-put-right.ts'
import { useSaid } from './use-said.ts'
import { useTaking } from './use-taking.ts'
import { useTurn } from './use-turn.ts'

export interface Bench extends Omit<PutRight, 'moveTo'> {
  live: LiveFabrication
  scale: BenchScaleState
  /** What there is to take for the active pile, its container taken off. */
  view: ScaleView
  settings: BenchSettingsState
  containers: ContainersState
  checks: ChecksState
  progress: SequenceInput
  /** The bird on the board, from 1, and in words. */
  unit: number
  unitOnBoard: string
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
  /** Chooses a pile; a settled load that is not taken yet is taken onto it, so that one touch weighs one pile. */
  touchPile: (pileId: string) => void
  /** Takes the settled load onto the active pile; says why where it cannot. */
  takeSettled: () => void
  /** A typed weight, of so many pieces where somebody said how many. */
  takeTyped: (grams: number, pieces: number | null) => void
  /** Tares the scale; where it does not answer, the scale's own line says so. */
  tare: () => void
}

/** Everything a cook can do at the bench, by touch, key or number pad alike. */
export function useBench(state: FabricationState): Bench {
  const kitchen = useKitchen()
  const settings = useBenchSettings()
  const live = useLiveFabrication(state, settings.cookId)
  const { record, standing } = live
  const format = useFormat(record.currency)
  const progress = useMemo(() => progressOf(record, standing), [record, standing])
  const voice = useSaid(settings)
  const turn = useTurn(live, settings.cookId, voice.say)
  const load = useLoad(record, turn, progress.counts)
  const cold = useColdLoads(live)
  const taking = useTaking({
    live,
    settings,
    turn,
    load,
    voice,
    format,
    unitWords: (unit) => unitWords(record, unit, cold),
  })
  const leave = (reading: StandingReading) => {
    // Only what this device weighed last can still lie on the plate.
    if (reading.id === live.ahead.findLast((standingReading) => standingReading.isMine)?.id) {
      taking.leaveAlone(reading.grams)
      load.scale.forgetTaken()
    }
    turn.backTo(reading.pileId)
  }
  const { moveTo, ...putRight } = usePutRight({ live, voice, format, pileById: turn.pileById, leave })
  return {
    live,
    scale: load.scale,
    view: load.viewFor(load.activePile),
    settings,
    containers: load.containers,
    checks: useChecks(live, progress),
    progress,
    unit: unitOnBoard(progress),
    unitOnBoard: unitWords(record, unitOnBoard(progress), cold),
    stepAt: turn.stepAt,
    goToStep: turn.goToStep,
    nextStep: () => {
      const step = record.steps[turn.stepAt]
      const cookId = settings.cookId ?? record.cookId
      if (step) void live.mark(`step done, ${step.title}`, { mark: 'step-done', step: step.id, cookId })
      turn.nextStep()
    },
    pileInTurn: turn.pileInTurn,
    activePile: load.activePile,
    likeness: load.likeness,
    said: voice.said,
    ...putRight,
    touchPile: (pileId) => {
      const pile = turn.pileById(pileId)
      if (!pile) return
      if (putRight.picked) return moveTo(putRight.picked, pile)
      const isSame = pileId === load.activePile.id
      turn.choose(pileId)
      // Touching the pile that is chosen already can only mean to weigh: then it says why it cannot.
      taking.takeSettled(pile, isSame)
    },
    takeSettled: () => taking.takeSettled(load.activePile, true),
    takeTyped: taking.takeTyped,
    tare: () => void tareScale({ kitchenId: kitchen.id, fabricationId: record.id }).catch(() => {}),
  }
}
