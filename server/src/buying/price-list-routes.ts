import { Readable } from 'node:stream'
import { type Problem, priceMapping } from '@fleam/contract'
import { z } from 'zod'
import { kitchenParams, problemOf, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import type { ImportResult } from './import.ts'
import * as service from './service.ts'

const tags = ['buying']
/** A list of a hundred thousand rows. */
const LARGEST_LIST_BYTES = 8 * 1024 * 1024

/** One line of the answer to an import: how far it is, and in the end what came of it. */
type ImportNews = { progress: { done: number; of: number } } | { result: ImportResult } | { problem: Problem }

/** Price lists in, from a file or a feed, told step by step. */
export function priceListRoutes(app: Server, scopeOf: Scopes, feed: string | null): void {
  const body = z.strictObject({ csv: z.string(), mapping: priceMapping })

  app.post(
    '/api/kitchens/:kitchenId/price-lists',
    {
      bodyLimit: LARGEST_LIST_BYTES,
      schema: {
        operationId: 'importPriceList',
        summary: 'Takes in a price list, and tells step by step how far it is',
        refuses: ['price-list-wrong', 'cancelled'],
        mediaType: 'application/x-ndjson',
        tags,
        params: kitchenParams,
        body,
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request)
      const { csv, mapping } = request.body
      // What is wrong with the list itself is refused before anything is begun.
      const lines = await service.readList(scope, csv, mapping)
      const stream = new Readable({ objectMode: false, read() {} })
      const tell = (news: ImportNews) => stream.push(`${JSON.stringify(news)}\n`)
      let isGone = false
      reply.raw.once('close', () => {
        isGone = true
      })
      void service
        .importList(scope, {
          lines,
          mapping,
          source: 'list',
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
    {
      schema: {
        operationId: 'readPriceFeed',
        summary: 'Where the price feed answers',
        tags,
        response: { 200: z.object({ address: z.string().nullable() }) },
      },
    },
    () => Promise.resolve({ address: feed }),
  )

  app.post(
    '/api/kitchens/:kitchenId/price-lists/from-feed',
    {
      schema: {
        operationId: 'pullPriceFeed',
        summary: 'Takes in today’s list of the price feed',
        refuses: ['feed-away', 'price-list-wrong'],
        mediaType: 'application/json',
        tags,
        params: kitchenParams,
      },
    },
    async (request) => service.pullFeed(await scopeOf(request), feed),
  )
}
