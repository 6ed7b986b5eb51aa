import { type Fact, factsInForce } from '@fleam/core/facts'
import { useMemo } from 'react'
import { useKitchen } from '../../../data/kitchen-context.ts'
import { type FactDraft, newFact, outbox } from '../../../outbox/page-outbox.ts'
import { lastOf, lastUndoneOf, withAct, withRedone, withUndone } from './acts.ts'
import { useActs } from './use-acts.ts'

/**
 * Keeps what a cook does on this device and takes it back: `keep` writes facts, `act` writes those that can be undone.
 * `facts` are all that are known, with what is being written.
 */
export function useKeptActs(fabricationId: string, actorId: string | null, facts: readonly Fact[]) {
  const kitchen = useKitchen()
  const { acts, change } = useActs(fabricationId)
  const keep = (...drafts: readonly FactDraft[]) => {
    const newFacts = drafts.map((draft) => newFact(draft, facts))
    return { ids: newFacts.map(({ id }) => id), kept: outbox.keep(kitchen.id, ...newFacts) }
  }
  const act = (words: string, ...drafts: readonly FactDraft[]) => {
    const { ids, kept } = keep(...drafts)
    change((before) => withAct(before, { factIds: ids, actorId, words }))
    return kept
  }
  const voids = (factIds: readonly string[]) =>
    keep(...factIds.map((factId) => ({ kind: 'void' as const, fabricationId, factId })))
  // What another device has taken back meanwhile is not there to be undone.
  const inForce = useMemo(() => new Set(factsInForce(facts).map((fact) => fact.id)), [facts])
  const lastAct = lastOf(acts, actorId, (id) => inForce.has(id))
  const lastUndone = lastUndoneOf(acts, actorId)
  return {
    keep,
    act,
    lastAct,
    lastUndone: lastUndone?.act ?? null,
    undo: async () => {
      if (!lastAct) return false
      const { ids, kept } = voids(lastAct.factIds)
      change((before) => withUndone(before, lastAct, ids))
      return kept
    },
    redo: async () => {
      if (!lastUndone) return false
      const { kept } = voids(lastUndone.voidIds)
      change((before) => withRedone(before, lastUndone))
      return kept
    },
  }
}
