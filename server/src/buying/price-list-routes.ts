import { rememberedMappings } from '@fleam/contract/price-columns'
import { z } from 'zod'
import { type Compute, priceListBody } from '../compute/index.ts'
import { kitchenParams, readAside, type Server, tellSteps } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as mappings from './mappings.ts'
import * as service from './service.ts'

const tags = ['buying']
/** A list of a hundred thousand rows. */
const LARGEST_LIST_BYTES = 8 * 1024 * 1024

/** A body as it came, to be read beside the server. */
interface Unread {
  bytes: Buffer
}

/** Price lists in, from a file or a feed, told step by step. */
export function priceListRoutes(app: Server, scopeOf: Scopes, compute: Compute, feed: string | null): void {
  // To take megabytes of text apart would hold up whoever weighs.
  app.removeContentTypeParser('application/json')
  app.addContentTypeParser('application/json', { parseAs: 'buffer' }, (_request, bytes, done) => {
    const unread: Unread = { bytes: bytes as Buffer }
    readAside.add(unread)
    done(null, unread)
  })

  app.post(
    '/api/kitchens/:kitchenId/price-lists',
    {
      bodyLimit: LARGEST_LIST_BYTES,
      schema: {
        operationId: 'importPriceList',
        summary: 'Takes in a price list, all of it or what is right of it, and tells step by step how far it is',
        refuses: ['price-list-wrong', 'cancelled'],
        mediaType: 'application/x-ndjson',
        tags,
        params: kitchenParams,
        body: priceListBody,
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request)
      const { bytes } = request.body as unknown as Unread
      // What is wrong with the list itself is refused before anything is begun.
      const list = await service.readList(scope, compute, bytes)
      return tellSteps(reply, (steps) => service.importList(scope, { list, source: 'list', ...steps }))
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/price-list-mappings',
    {
      schema: {
        operationId: 'listMappings',
        summary: 'Which column of each supplier’s list was which the last time',
        tags,
        params: kitchenParams,
        response: { 200: rememberedMappings },
      },
    },
    async (request) => mappings.rememberedMappings(await scopeOf(request)),
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
    async (request) => service.pullFeed(await scopeOf(request), compute, feed),
  )
}
