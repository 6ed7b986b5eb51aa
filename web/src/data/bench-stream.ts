import { addressOf } from '@fleam/contract/client'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { factOperations } from '@fleam/contract/facts/operations'
import type { FabricationNews } from '@fleam/contract/facts/schemas'
import { type QueryClient, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { useKitchen } from './kitchen-context.ts'
import { fabricationQuery } from './queries.ts'
import { streamWhileSeen } from './seen-stream.ts'

/** A state with news added: facts that it has already are left as they are. */
export function withNews(state: FabricationState, news: FabricationNews): FabricationState {
  const ids = new Set(state.facts.map((fact) => fact.id))
  const missing = news.facts.filter((fact) => !ids.has(fact.id))
  return missing.length === 0 ? state : { ...state, facts: [...state.facts, ...missing] }
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
    const key = fabricationQuery(kitchen.id, fabricationId).queryKey
    const address = addressOf(factOperations.followFabrication, { kitchenId: kitchen.id, fabricationId })
    return streamWhileSeen(() => {
      const source = new EventSource(address)
      // What happened before the stream was open is fetched once it is: so nothing falls between the two.
      source.onopen = () => void queries.invalidateQueries({ queryKey: key })
      source.onmessage = (event) => takeNews(queries, key, JSON.parse(event.data as string) as FabricationNews | null)
      return source
    })
  }, [kitchen.id, fabricationId, queries])
}
