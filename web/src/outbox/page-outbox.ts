import { factOperations } from '@fleam/contract/facts/operations'
import type { Fact } from '@fleam/core/facts'
import { wholeMilligrams } from '@fleam/core/units'
import { useSyncExternalStore } from 'react'
import { v7 as newId } from 'uuid'
import { ApiProblem, call, isOffline } from '../data/api.ts'
import { readSetting, settingNames, writeSetting } from '../data/settings.ts'
import { factsOfOldCuts, oldCutsIn } from './old-entries.ts'
import { Outbox, type Send } from './outbox.ts'
import { openOutboxStore } from './store.ts'

const send: Send = async (kitchenId, facts) => {
  try {
    const { refused } = await call(factOperations.createFacts, { kitchenId, body: { facts: [...facts] } })
    return { kind: 'stored', refused: refused.map(({ at, detail }) => ({ at, reason: detail })) }
  } catch (error) {
    if (error instanceof ApiProblem && !isOffline(error) && error.problem.status < 500) {
      return { kind: 'refused', reason: error.problem.detail }
    }
    return { kind: 'away' }
  }
}

/** The outbox of this page. */
export const outbox = new Outbox({
  store: openOutboxStore(),
  send,
  timers: {
    after: (ms, callback) => {
      const timer = setTimeout(callback, ms)
      return () => clearTimeout(timer)
    },
  },
})

/** A fact as a room makes it: when, under which id and in which place is said here. */
export type FactDraft = Fact extends infer F ? (F extends Fact ? Omit<F, 'id' | 'order' | 'takenAt'> : never) : never

/** A new fact after those that are known: its weights are whole milligrams from here on. */
export function newFact(draft: FactDraft, known: readonly Fact[], id = newId()): Fact {
  const fact = { ...draft, id, order: outbox.takeOrder(known), takenAt: new Date().toISOString() }
  if (fact.kind === 'reading') return { ...fact, grams: wholeMilligrams(fact.grams) }
  if (fact.kind !== 'measured-cut') return fact
  return { ...fact, planned: wholeMilligrams(fact.planned), weighed: wholeMilligrams(fact.weighed) }
}

const OLD_CUTS = 'measured-cuts.'

/** Portions that waited in the settings of the version before move into the outbox. */
async function carryOverOldCuts(): Promise<void> {
  for (const name of settingNames().filter((settingName) => settingName.startsWith(OLD_CUTS))) {
    const facts = factsOfOldCuts(oldCutsIn(readSetting(name)), new Date().toISOString())
    if (facts.length > 0) await outbox.keep(name.slice(OLD_CUTS.length), ...facts)
    writeSetting(name, null)
  }
}

void outbox.open().then(carryOverOldCuts)
window.addEventListener('online', () => void outbox.flush())
document.addEventListener('visibilitychange', () => void outbox.flush())

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.state)
