import type { PlannedPile } from '@fleam/core/fabrication'
import { looksLike, pileBySize, type ScaleView } from '@fleam/core/weighing'
import { type BenchScaleState, useBenchScale } from './use-bench-scale.ts'
import { type ContainersState, useContainersOfPiles } from './use-container.ts'
import type { LiveFabrication } from './use-live-fabrication.ts'
import type { Turn } from './use-turn.ts'

export interface LoadState {
  scale: BenchScaleState
  containers: ContainersState
  /** What there is to take for a pile, its container taken off. */
  viewFor: (pile: PlannedPile) => ScaleView
  /** The weight on the scale could be one of the pile in turn's. */
  isPlausible: boolean
  /** The pile that the weight on the scale looks like, where that is not the one in turn. */
  likeness: PlannedPile | null
  /** Where the next weight goes: the pile in turn, or the one that the load looks like. */
  activePile: PlannedPile
}

/** What lies on the scale, and which pile it looks like. */
export function useLoad(record: LiveFabrication['record'], turn: Turn, counts: ReadonlyMap<string, number>): LoadState {
  const containers = useContainersOfPiles()
  const scale = useBenchScale()
  const viewFor = (pile: PlannedPile) => scale.viewWith(containers.of(pile.name)?.grams ?? 0)
  const readyGrams = (pile: PlannedPile) => {
    const view = viewFor(pile)
    return view.kind === 'ready' ? view.grams : 0
  }
  const ap = record.purchase.invoiceWeight
  const grams = readyGrams(turn.pileInTurn)
  const isPlausible = grams === 0 || turn.isFirm || looksLike(turn.pileInTurn, grams, ap)
  const likeness = isPlausible ? null : pileBySize({ piles: record.piles, ap, counts }, readyGrams)
  return { scale, containers, viewFor, isPlausible, likeness, activePile: likeness ?? turn.pileInTurn }
}
