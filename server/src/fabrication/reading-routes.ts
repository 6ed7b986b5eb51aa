import { readingsKept, readingsSent } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { sendEvents } from '../http/event-stream.ts'
import { fabricationParams, type Server } from '../http/schemas.ts'
import { FabricationFeed } from './feed.ts'
import { ReadingLog } from './readings.ts'
import { requireVersion } from './store.ts'

const tags = ['fabrication']

/** Weighings and all else that is done at the bench, from however many devices: answered only once they are stored. */
export function readingRoutes(app: Server, database: Sequelize): void {
  const log = new ReadingLog(database)
  const feed = new FabricationFeed(database)
  app.addHook('onClose', async () => feed.close())

  app.post(
    '/api/kitchens/:kitchenId/fabrications/:id/readings',
    { schema: { tags, params: fabricationParams, body: readingsSent, response: { 200: readingsKept } } },
    async (request) => {
      const kept = await log.append(request.params.kitchenId, request.params.id, request.body)
      feed.tell(request.params.id, request.body)
      return { kept }
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/stream',
    {
      schema: {
        tags,
        params: fabricationParams,
        description:
          'Server-sent events: what any device did at this bench since, as facts with ids, and the version of the record. `null` says that some may have been missed: fetch the fabrication again.',
      },
    },
    async (request, reply) => {
      const { kitchenId, id } = request.params
      await requireVersion(database, kitchenId, id)
      return sendEvents(request, reply, (send) => feed.follow(kitchenId, id, send))
    },
  )
}
