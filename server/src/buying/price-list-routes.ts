import { priceListOperations } from '@fleam/contract/buying/operations'
import type { Compute } from '../compute/index.ts'
import { readAside, type Server, tellSteps } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import { serve } from '../serve/index.ts'
import * as mappings from './mappings.ts'
import * as service from './service.ts'

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
  handlers(compute, feed)(app, scopeOf)
}

const handlers = (compute: Compute, feed: string | null) =>
  serve(priceListOperations, {
    importPriceList: async ({ scope, body, reply }) => {
      const { bytes } = body as unknown as Unread
      // What is wrong with the list itself is refused before anything is begun.
      const list = await service.readList(scope, compute, bytes)
      return tellSteps(reply, (steps) => service.importList(scope, { list, source: 'list', ...steps }))
    },
    listMappings: ({ scope }) => mappings.rememberedMappings(scope),
    readPriceFeed: () => ({ address: feed }),
    pullPriceFeed: ({ scope }) => service.pullFeed(scope, compute, feed),
  })
