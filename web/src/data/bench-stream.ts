import type { FabricationNews, FabricationState } from '@fleam/contract'
import { type QueryClient, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useKitchen } from '../parts/kitchen-context.ts'
import { fabricationKey, fabricationPath } from './queries.ts'
import { streamWhileSeen } from './seen-stream.ts'

/** A state with news added: facts that it has already are left as they are. */
export function withNews(state: FabricationState, news: FabricationNews): FabricationState {
  return {
    record: state.record,
    readings: added(state.readings, news.readings),
    voids: added(state.voids, news.voids),
    moves: added(state.moves, news.moves),
    marks: added(state.marks, news.marks),
  }
}

function added<T extends { id: string }>(known: T[], fresh: readonly T[]): T[] {
  if (fresh.length === 0) return known
  const ids = new Set(known.map((each) => each.id))
  const missing = fresh.filter((each) => !ids.has(each.id))
  return missing.length === 0 ? known : [...known, ...missing]
}

/** Takes news into what the bench shows; asks for the whole where some may be missing or the record was changed. */
export function takeNews(queries: QueryClient, key: readonly unknown[], news: FabricationNews | null): void {
  const state = queries.getQueryData<FabricationState>(key)
  if (!state) return
  if (news) queries.setQueryData(key, withNews(state, news))
  if (!news || news.version > state.record.version) void queries.invalidateQueries({ queryKey: key })
}

/** Follows a fabrication: what any device does at it is shown here within a second. */
export function useBenchStream(fabricationId: string): void {
  const kitchen = useKitchen()
  const queries = useQueryClient()
  useEffect(() => {
    const key = fabricationKey(kitchen.id, fabricationId)
    return streamWhileSeen(() => {
      const source = new EventSource(`${fabricationPath(kitchen.id, fabricationId)}/stream`)
      // What happened before the stream was open is fetched once it is: so nothing falls between the two.
      source.onopen = () => void queries.invalidateQueries({ queryKey: key })
      source.onmessage = (event) => takeNews(queries, key, JSON.parse(event.data as string) as FabricationNews | null)
      return source
    })
  }, [kitchen.id, fabricationId, queries])
}
