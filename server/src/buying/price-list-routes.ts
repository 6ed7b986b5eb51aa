import { Readable } from 'node:stream'
import { type Problem, priceMapping } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { z } from 'zod'
import type { Clock } from '../fabrication/routes.ts'
import { problemOf } from '../http/problems.ts'
import { kitchenParams, type Server } from '../http/schemas.ts'
import { requireKitchen } from '../kitchen/service.ts'
import { dayOfKitchen } from './day.ts'
import { type ImportResult, importLines } from './import.ts'
import * as service from './service.ts'

const tags = ['buying']
/** A list of a hundred thousand rows. */
const LARGEST_LIST_BYTES = 24 * 1024 * 1024

/** One line of the answer to an import: how far it is, and in the end what came of it. */
type ImportNews = { progress: { done: number; of: number } } | { result: ImportResult } | { problem: Problem }

/** Price lists in, from a file or a feed, told step by step. */
export function priceListRoutes(app: Server, database: Sequelize, clock: Clock, feed: string | null): void {
  const body = z.strictObject({ csv: z.string(), mapping: priceMapping })

  app.post(
    '/api/kitchens/:kitchenId/price-lists',
    { bodyLimit: LARGEST_LIST_BYTES, schema: { tags, params: kitchenParams, body } },
    async (request, reply) => {
      const { kitchenId } = request.params
      const { csv, mapping } = request.body
      // What is wrong with the list itself is refused before anything is begun.
      const lines = await service.readList(database, kitchenId, csv, mapping)
      const stream = new Readable({ objectMode: false, read() {} })
      const tell = (news: ImportNews) => stream.push(`${JSON.stringify(news)}\n`)
      let isGone = false
      reply.raw.once('close', () => {
        isGone = true
      })
      void importLines(database, kitchenId, {
        lines,
        mapping,
        source: 'list',
        now: clock.now(),
        onProgress: (done, of) => tell({ progress: { done, of } }),
        isCancelled: () => isGone,
      })
        .then(
          (result) => tell({ result }),
          (error: unknown) => {
            const problem = problemOf(error)
            if (problem.code === 'internal') request.log.error(error)
            tell({ problem })
          },
        )
        .finally(() => stream.push(null))
      return reply.type('application/x-ndjson').send(stream)
    },
  )

  app.get(
    '/api/price-feed',
    { schema: { tags, response: { 200: z.object({ address: z.string().nullable() }) } } },
    () => Promise.resolve({ address: feed }),
  )

  app.post(
    '/api/kitchens/:kitchenId/price-lists/from-feed',
    { schema: { tags, params: kitchenParams } },
    async (request) => {
      const kitchen = await requireKitchen(database, request.params.kitchenId)
      const now = clock.now()
      return service.pullFeed(database, kitchen.id, feed, now, dayOfKitchen(kitchen, now))
    },
  )
}
