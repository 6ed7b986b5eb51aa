import { factOperations } from '@fleam/contract/facts/operations'
import type { Fact } from '@fleam/core/facts'
import type { Database } from '../database/index.ts'
import { type Server, sendEvents } from '../http/index.ts'
import type { Scope, Scopes } from '../scope/index.ts'
import { serve } from '../serve/index.ts'
import { FactFeed } from './feed.ts'
import { FactLog } from './log.ts'
import { latestCuts, requireVersion } from './store.ts'

/** Told the records of facts that were kept; nothing waits for what it does. */
type OnKept = (scope: Scope, fabricationIds: readonly string[]) => void

/** Weighings and all else that is done at the bench, from however many devices: answered only once it is stored. */
export function factRoutes(app: Server, database: Database, scopeOf: Scopes, onKept: OnKept): void {
  const log = new FactLog(database)
  const feed = new FactFeed(database)
  app.addHook('onClose', async () => feed.close())
  handlers(log, feed, onKept)(app, scopeOf)
}

const handlers = (log: FactLog, feed: FactFeed, onKept: OnKept) =>
  serve(factOperations, {
    createFacts: async ({ scope, body }) => {
      const { facts } = body
      const answer = await log.append(scope, facts)
      const refused = new Set(answer.refused.map(({ at }) => at))
      const kept = facts.filter((fact, index): fact is Fact => fact.kind !== 'not-a-fact' && !refused.has(index))
      feed.tell(scope.kitchen.id, kept)
      onKept(
        scope,
        kept.flatMap(({ fabricationId }) => fabricationId ?? []),
      )
      return answer
    },
    followFabrication: async ({ scope, params, request, reply }) => {
      await requireVersion(scope, params.fabricationId)
      return sendEvents(request, reply, (send) => feed.follow(scope.kitchen.id, params.fabricationId, send))
    },
    listMeasuredCuts: ({ scope }) => latestCuts(scope),
  })
