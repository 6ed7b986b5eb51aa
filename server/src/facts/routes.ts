import { factsKept, factsSent, measuredCuts } from '@fleam/contract/fact'
import type { Fact } from '@fleam/core/facts'
import type { Database } from '../database/index.ts'
import { fabricationParams, kitchenParams, type Server, sendEvents } from '../http/index.ts'
import type { Scope, Scopes } from '../scope/index.ts'
import { FactFeed } from './feed.ts'
import { FactLog } from './log.ts'
import { latestCuts, requireVersion } from './store.ts'

const tags = ['facts']

/** Told the records of facts that were kept; nothing waits for what it does. */
type OnKept = (scope: Scope, fabricationIds: readonly string[]) => void

/** Weighings and all else that is done at the bench, from however many devices: answered only once it is stored. */
export function factRoutes(app: Server, database: Database, scopeOf: Scopes, onKept: OnKept): void {
  const log = new FactLog(database)
  const feed = new FactFeed(database)
  app.addHook('onClose', async () => feed.close())

  app.post(
    '/api/kitchens/:kitchenId/facts',
    {
      schema: {
        operationId: 'createFacts',
        summary: 'Keeps what was done at a bench: weighings, moves, takings back, clocks, measured cuts',
        description:
          'Each of the list is kept, known already or refused by itself. Where none of it is kept, the refusal is the answer.',
        refuses: ['id-taken', 'pile-unknown'],
        tags,
        params: kitchenParams,
        body: factsSent,
        response: { 200: factsKept },
      },
    },
    async (request) => {
      const { facts } = request.body
      const scope = await scopeOf(request, 'bench')
      const answer = await log.append(scope, facts)
      const refused = new Set(answer.refused.map(({ at }) => at))
      const kept = facts.filter((each, at): each is Fact => each.kind !== 'not-a-fact' && !refused.has(at))
      feed.tell(scope.kitchen.id, kept)
      onKept(
        scope,
        kept.flatMap(({ fabricationId }) => fabricationId ?? []),
      )
      return answer
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/stream',
    {
      schema: {
        operationId: 'followFabrication',
        summary: 'Tells what any device does at this bench, as it happens',
        mediaType: 'text/event-stream',
        tags,
        params: fabricationParams,
        description:
          'Server-sent events: what any device did at this bench since, as facts with ids, and the version of the record. `null` says that some may have been missed: fetch the fabrication again.',
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request, 'bench')
      await requireVersion(scope, request.params.id)
      return sendEvents(request, reply, (send) => feed.follow(scope.kitchen.id, request.params.id, send))
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/measured-cuts',
    {
      schema: {
        operationId: 'listMeasuredCuts',
        summary: 'The latest measured cuts, from which lines learn',
        tags,
        params: kitchenParams,
        response: { 200: measuredCuts },
      },
    },
    async (request) => latestCuts(await scopeOf(request, 'bench')),
  )
}
