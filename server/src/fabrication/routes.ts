import { appraisal } from '@fleam/contract/appraisal'
import { fabricationEdit, fabricationRows, fabricationState, recordVersions } from '@fleam/contract/fabrication'
import { fabricationDocument } from '@fleam/contract/fabrication-document'
import { keptJudgement } from '@fleam/contract/judgement'
import { pilesCsv } from '@fleam/contract/piles-csv'
import { appraise } from '@fleam/core/appraisal'
import { z } from 'zod'
import { fabricationParams, kitchenParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'

const tags = ['fabrication']
const listQuery = z.strictObject({
  limit: z.coerce.number().int().min(1).max(service.MAX_LISTED).default(service.MAX_LISTED),
})

export function fabricationRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    '/api/kitchens/:kitchenId/fabrications',
    {
      schema: {
        operationId: 'listFabrications',
        summary: 'The latest records with their documents',
        tags,
        params: kitchenParams,
        querystring: listQuery,
        response: { 200: fabricationRows },
      },
    },
    async (request) => service.latest(await scopeOf(request), request.query.limit),
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id',
    {
      schema: {
        operationId: 'readFabrication',
        summary: 'A record and every fact of it',
        tags,
        params: fabricationParams,
        response: { 200: fabricationState },
      },
    },
    async (request) => service.requireState(await scopeOf(request), request.params.id),
  )

  app.put(
    '/api/kitchens/:kitchenId/fabrications/:id',
    {
      schema: {
        operationId: 'updateFabrication',
        summary: 'Changes a record, at the version that was read',
        refuses: ['stale-version', 'id-taken'],
        tags,
        params: fabricationParams,
        body: fabricationEdit,
        response: { 200: fabricationState },
      },
    },
    async (request) => service.change(await scopeOf(request), request.params.id, request.body),
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/versions',
    {
      schema: {
        operationId: 'listVersions',
        summary: 'A record as it was before each change, newest first',
        tags,
        params: fabricationParams,
        response: { 200: recordVersions },
      },
    },
    async (request) => service.versions(await scopeOf(request), request.params.id),
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/judgement',
    {
      schema: {
        operationId: 'readJudgement',
        summary: 'What a record was judged at when it was closed, and by which formulas; null for one that is open',
        tags,
        params: fabricationParams,
        response: { 200: keptJudgement },
      },
    },
    async (request, reply) => {
      const kept = await service.judgement(await scopeOf(request), request.params.id)
      // Nothing at all would be an answer without a body.
      return reply.type('application/json; charset=utf-8').send(kept ?? ('null' as never))
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/document.json',
    {
      schema: {
        operationId: 'exportDocument',
        summary: 'The document of a record',
        tags,
        params: fabricationParams,
        response: { 200: fabricationDocument },
      },
    },
    async (request, reply) => {
      const document = await service.requireDocument(await scopeOf(request), request.params.id)
      return reply
        .header('content-disposition', `attachment; filename="fabrication-${request.params.id}.json"`)
        .send(document)
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/appraisal.json',
    {
      schema: {
        operationId: 'readAppraisal',
        summary: 'The appraisal of a record',
        tags,
        params: fabricationParams,
        response: { 200: appraisal },
      },
    },
    async (request, reply) => {
      const document = await service.requireDocument(await scopeOf(request), request.params.id)
      return reply
        .header('content-disposition', `attachment; filename="appraisal-${request.params.id}.json"`)
        .send(appraise(document))
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/piles.csv',
    {
      schema: {
        operationId: 'exportPiles',
        summary: 'The piles of a record as CSV',
        tags,
        params: fabricationParams,
        response: { 200: { content: { 'text/csv': { schema: z.string() } } } },
      },
    },
    async (request, reply) => {
      const document = await service.requireDocument(await scopeOf(request), request.params.id)
      return reply
        .header('content-disposition', `attachment; filename="piles-${request.params.id}.csv"`)
        .type('text/csv; charset=utf-8; header=present')
        .send(pilesCsv(document))
    },
  )
}
