import { fabricationDocument, fabricationStart, fabricationState, id } from '@fleam/contract'
import { z } from 'zod'
import { kitchenParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import { importDocument } from './import.ts'
import { createPriceOf, start } from './start.ts'

const tags = ['fabrication']

const decided = id.or(z.literal('none'))
const importQuery = z.strictObject({
  id,
  item: decided.optional(),
  style: decided.optional(),
  supplier: decided.or(z.literal('add')).optional(),
  cook: decided.optional(),
})

/** Records that begin at a bench. */
export function startRoutes(app: Server, scopeOf: Scopes): void {
  app.post(
    '/api/kitchens/:kitchenId/fabrications',
    {
      schema: {
        operationId: 'startFabrication',
        summary: 'Starts weighing',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        body: fabricationStart,
        response: { 201: fabricationState },
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request, 'bench')
      // The price book may be held by a long import: no bench waits for it.
      const state = await start(scope, request.body, (record) => {
        createPriceOf(scope, record).catch((error: unknown) => request.log.error(error))
      })
      return reply.status(201).send(state)
    },
  )
}

/** Records that are taken in from a document. */
export function importRoutes(app: Server, scopeOf: Scopes): void {
  app.post(
    '/api/kitchens/:kitchenId/fabrications/import',
    {
      schema: {
        operationId: 'importDocument',
        summary: 'Takes in a document; asks once what unknown names in it mean',
        refuses: ['name-unknown', 'id-taken'],
        tags,
        params: kitchenParams,
        querystring: importQuery,
        body: fabricationDocument,
        response: { 201: fabricationState },
      },
    },
    async (request, reply) => {
      const { id: recordId, ...decisions } = request.query
      const scope = await scopeOf(request)
      return reply.status(201).send(await importDocument(scope, recordId, request.body, decisions))
    },
  )
}
