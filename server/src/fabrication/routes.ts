import {
  appraisal,
  fabricationDocument,
  fabricationEdit,
  fabricationRows,
  fabricationStart,
  fabricationState,
  id,
  pilesCsv,
} from '@fleam/contract'
import { appraise } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import { z } from 'zod'
import { fabricationParams, kitchenParams, type Server } from '../http/schemas.ts'
import { importDocument } from './import.ts'
import * as service from './service.ts'
import { start } from './start.ts'

const tags = ['fabrication']
const MEGABYTE = 1024 * 1024
const LARGEST_DOCUMENT = 4 * MEGABYTE

export interface Clock {
  now: () => Date
}

export function fabricationRoutes(app: Server, database: Sequelize, clock: Clock): void {
  app.get(
    '/api/kitchens/:kitchenId/fabrications',
    { schema: { tags, params: kitchenParams, response: { 200: fabricationRows } } },
    (request) => service.latest(database, request.params.kitchenId, clock.now()),
  )

  app.post(
    '/api/kitchens/:kitchenId/fabrications',
    { schema: { tags, params: kitchenParams, body: fabricationStart, response: { 201: fabricationState } } },
    async (request, reply) => reply.status(201).send(await start(database, request.params.kitchenId, request.body)),
  )

  app.post(
    '/api/kitchens/:kitchenId/fabrications/import',
    {
      bodyLimit: LARGEST_DOCUMENT,
      schema: {
        tags,
        params: kitchenParams,
        querystring: z.strictObject({ id }),
        body: fabricationDocument,
        response: { 201: fabricationState },
      },
    },
    async (request, reply) => {
      const { params, query, body } = request
      return reply.status(201).send(await importDocument(database, params.kitchenId, query.id, body, clock.now()))
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id',
    { schema: { tags, params: fabricationParams, response: { 200: fabricationState } } },
    (request) => service.requireState(database, request.params.kitchenId, request.params.id),
  )

  app.put(
    '/api/kitchens/:kitchenId/fabrications/:id',
    { schema: { tags, params: fabricationParams, body: fabricationEdit, response: { 200: fabricationState } } },
    (request) => service.change(database, request.params.kitchenId, request.params.id, request.body, clock.now()),
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/document.json',
    { schema: { tags, params: fabricationParams, response: { 200: fabricationDocument } } },
    async (request, reply) => {
      const document = await service.requireDocument(database, request.params.kitchenId, request.params.id, clock.now())
      return reply
        .header('content-disposition', `attachment; filename="fabrication-${request.params.id}.json"`)
        .send(document)
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/appraisal.json',
    { schema: { tags, params: fabricationParams, response: { 200: appraisal } } },
    async (request, reply) => {
      const document = await service.requireDocument(database, request.params.kitchenId, request.params.id, clock.now())
      return reply
        .header('content-disposition', `attachment; filename="appraisal-${request.params.id}.json"`)
        .send(appraise(document))
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/piles.csv',
    {
      schema: {
        tags,
        params: fabricationParams,
        response: { 200: { content: { 'text/csv': { schema: z.string() } } } },
      },
    },
    async (request, reply) => {
      const document = await service.requireDocument(database, request.params.kitchenId, request.params.id, clock.now())
      return reply
        .header('content-disposition', `attachment; filename="piles-${request.params.id}.csv"`)
        .type('text/csv; charset=utf-8; header=present')
        .send(pilesCsv(document))
    },
  )
}
