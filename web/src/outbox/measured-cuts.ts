import { factOperations } from '@fleam/contract/facts/operations'
import { type MeasuredCut, type MeasuringWay, standingCuts } from '@fleam/core/facts'
import type { MeasuredPortion } from '@fleam/core/portioning'
import { useQuery } from '@tanstack/react-query'
import { useCallback, useMemo } from 'react'
import { useKitchen } from '../data/kitchen-context.ts'
import { answerQuery } from '../data/operations.ts'
import { newFact, outbox, useOutbox } from './page-outbox.ts'

type CutDraft = Omit<MeasuredCut, 'kind' | 'id' | 'order' | 'takenAt'>

export interface MeasuredCutsState {
  /** The kitchen's portions of pieces of one shape that were known in one way. */
  of: (way: MeasuringWay, shape: string) => MeasuredPortion[]
  /** Keeps a portion, under an id of its own or one that is given. */
  create: (cut: CutDraft, id?: string) => void
  /** A portion was taken back: it tells nothing. */
  remove: (id: string) => void
}

/** Portions that were planned and weighed in this kitchen, on any device: kept here until the server has them. */
export function useMeasuredCuts(): MeasuredCutsState {
  const { id: kitchenId } = useKitchen()
  const { waiting, stored } = useOutbox()
  const { data: known } = useQuery({
    ...answerQuery(factOperations.listMeasuredCuts, { kitchenId }),
    refetchOnReconnect: true,
  })
  const cuts = useMemo(() => {
    const mine = [...stored, ...waiting].flatMap((entry) => (entry.kitchenId === kitchenId ? [entry.fact] : []))
    return standingCuts([...(known ?? []), ...mine])
  }, [known, stored, waiting, kitchenId])
  const create = useCallback(
    (cut: CutDraft, id?: string) => void outbox.keep(kitchenId, newFact({ kind: 'measured-cut', ...cut }, [], id)),
    [kitchenId],
  )
  const remove = useCallback(
    (factId: string) => void outbox.keep(kitchenId, newFact({ kind: 'void', fabricationId: null, factId }, [])),
    [kitchenId],
  )
  return { of: (way, shape) => cuts.filter((cut) => cut.way === way && cut.shape === shape), create, remove }
}
