import { fabricationStart, fabricationState } from '@fleam/contract/fabrication'
import { fabricationDocument } from '@fleam/contract/fabrication-document'
import { logbookFile } from '@fleam/contract/logbook'
import { id } from '@fleam/contract/numbers'
import { z } from 'zod'
import { kitchenParams, type Server, tellSteps } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import { importDocument } from './import.ts'
import { importMany } from './import-many.ts'
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

const LARGEST_LOGBOOK_BYTES = 32 * 1024 * 1024

/** Many records that are taken in from one file, told step by step. */
export function logbookImportRoutes(app: Server, scopeOf: Scopes): void {
  app.post(
    '/api/kitchens/:kitchenId/logbook/import',
    {
      bodyLimit: LARGEST_LOGBOOK_BYTES,
      schema: {
        operationId: 'importLogbook',
        summary: 'Takes in the records of a logbook’s file, all or none, and tells step by step how far it is',
        refuses: ['name-unknown', 'cancelled'],
        mediaType: 'application/x-ndjson',
        tags: ['logbook'],
        params: kitchenParams,
        body: logbookFile,
      },
    },
    async (request, reply) => {
      const scope = await scopeOf(request)
      return tellSteps(reply, (steps) => importMany(scope, request.body.records, steps))
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
