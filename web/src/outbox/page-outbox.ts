import { useSyncExternalStore } from 'react'
import { ApiProblem, isOffline, postJson } from '../data/api.ts'
import { fabricationPath } from '../data/queries.ts'
import { Outbox, type Send } from './outbox.ts'
import { openOutboxStore } from './store.ts'

const send: Send = async (kitchenId, fabricationId, sent) => {
  try {
    await postJson(`${fabricationPath(kitchenId, fabricationId)}/readings`, sent)
    return { kind: 'stored' }
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

void outbox.open()
window.addEventListener('online', () => void outbox.flush())
document.addEventListener('visibilitychange', () => void outbox.flush())

export const useOutbox = () => useSyncExternalStore(outbox.subscribe, outbox.state)
