import type { MeasuredCut } from '@fleam/contract'
import type { MeasuredPortion, MeasuringWay } from '@fleam/core'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { useKitchen } from '../parts/kitchen-context.ts'
import { readSetting, writeSetting } from '../parts/settings.ts'
import { deleteJson, getJson, isOffline, putJson } from './api.ts'

/** What this device knows and the server not yet: a portion, or one that was taken back. */
type Waiting = { kind: 'weighed'; cut: MeasuredCut } | { kind: 'taken-back'; id: string }

const waitingName = (kitchenId: string) => `measured-cuts.${kitchenId}`
const keyOf = (kitchenId: string) => ['kitchen', kitchenId, 'measured-cuts']
const pathOf = (kitchenId: string) => `/api/kitchens/${kitchenId}/measured-cuts`

function waitingOf(kitchenId: string): Waiting[] {
  try {
    const read: unknown = JSON.parse(readSetting(waitingName(kitchenId)) ?? '[]')
    return Array.isArray(read) ? (read as Waiting[]) : []
  } catch {
    return []
  }
}

const keepWaiting = (kitchenId: string, waiting: readonly Waiting[]) =>
  writeSetting(waitingName(kitchenId), JSON.stringify(waiting))

/** Sends what waits, in its order; what the server refuses is let go, what it cannot hear yet goes on waiting. */
async function sendAll(kitchenId: string): Promise<void> {
  for (const next of waitingOf(kitchenId)) {
    try {
      if (next.kind === 'weighed') await putJson(`${pathOf(kitchenId)}/${next.cut.id}`, next.cut)
      else await deleteJson(`${pathOf(kitchenId)}/${next.id}`)
    } catch (error) {
      if (isOffline(error)) throw error
    }
    // Others may have been added behind it meanwhile.
    keepWaiting(kitchenId, waitingOf(kitchenId).slice(1))
  }
}

let sending: Promise<void> = Promise.resolve()

/** One after the other: two that send at once would each let go of what the other sent. */
function sendWaiting(kitchenId: string): Promise<void> {
  sending = sending.catch(() => {}).then(() => sendAll(kitchenId))
  return sending
}

export interface MeasuredCutsState {
  /** The kitchen's portions of pieces of one shape that were known in one way. */
  of: (way: MeasuringWay, shape: string) => MeasuredPortion[]
  keep: (cut: MeasuredCut) => void
  /** A portion was taken back: it tells nothing. */
  forget: (id: string) => void
}

/** Portions that were planned and weighed in this kitchen, on any device: kept here until the server has them. */
export function useMeasuredCuts(): MeasuredCutsState {
  const { id: kitchenId } = useKitchen()
  const queries = useQueryClient()
  const { data: known = [] } = useQuery({
    queryKey: keyOf(kitchenId),
    queryFn: async () => {
      await sendWaiting(kitchenId)
      return getJson<MeasuredCut[]>(pathOf(kitchenId))
    },
    refetchOnReconnect: true,
  })
  const add = useCallback(
    (next: Waiting) => {
      keepWaiting(kitchenId, [...waitingOf(kitchenId), next])
      void queries.invalidateQueries({ queryKey: keyOf(kitchenId) })
    },
    [kitchenId, queries],
  )
  const keep = useCallback((cut: MeasuredCut) => add({ kind: 'weighed', cut }), [add])
  const forget = useCallback((id: string) => add({ kind: 'taken-back', id }), [add])
  return {
    of: (way, shape) => {
      const cuts = new Map(known.map((cut) => [cut.id, cut]))
      for (const each of waitingOf(kitchenId)) {
        if (each.kind === 'weighed') cuts.set(each.cut.id, each.cut)
        else cuts.delete(each.id)
      }
      return [...cuts.values()].filter((cut) => cut.way === way && cut.shape === shape)
    },
    keep,
    forget,
  }
}
