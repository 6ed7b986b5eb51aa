import { id } from '@fleam/contract/numbers'
import { item, itemEdit, items, style, styleFile } from '@fleam/contract/style'
import { z } from 'zod'
import { fabricationParams, kitchenParams, refuseOtherId, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['style']

export function styleRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    '/api/kitchens/:kitchenId/items',
    {
      schema: {
        operationId: 'listItems',
        summary: 'Items with their cut styles',
        tags,
        params: kitchenParams,
        response: { 200: items },
      },
    },
    async (request) => store.items(await scopeOf(request)),
  )

  app.post(
    '/api/kitchens/:kitchenId/items',
    {
      schema: {
        operationId: 'createItem',
        summary: 'Adds an item',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        body: item,
        response: { 201: item },
      },
    },
    async (request, reply) => reply.status(201).send(await service.createItem(await scopeOf(request), request.body)),
  )

  app.post(
    '/api/kitchens/:kitchenId/items/from-catalogue',
    {
      schema: {
        operationId: 'topUpFromCatalogue',
        summary: 'Adds what the catalogue has and the kitchen lacks',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        response: { 200: items },
      },
    },
    async (request) => service.topUpFromCatalogue(await scopeOf(request)),
  )

  app.put(
    '/api/kitchens/:kitchenId/items/:id',
    {
      schema: {
        operationId: 'updateItem',
        summary: 'Changes an item',
        refuses: ['id-taken'],
        tags,
        params: fabricationParams,
        body: itemEdit,
        response: { 200: item },
      },
    },
    async (request) => service.updateItem(await scopeOf(request), request.params.id, request.body),
  )

  app.post(
    '/api/kitchens/:kitchenId/items/:id/styles',
    {
      schema: {
        operationId: 'createStyle',
        summary: 'Adds a cut style to an item',
        refuses: ['id-taken'],
        tags,
        params: fabricationParams,
        body: style,
        response: { 201: style },
      },
    },
    async (request, reply) =>
      reply.status(201).send(await service.createStyle(await scopeOf(request), request.params.id, request.body)),
  )

  app.put(
    '/api/kitchens/:kitchenId/styles/:id',
    {
      schema: {
        operationId: 'updateStyle',
        summary: 'Changes a cut style, at the version that was read',
        refuses: ['stale-version', 'id-taken'],
        tags,
        params: fabricationParams,
        body: style,
        response: { 200: style },
      },
    },
    async (request) => {
      refuseOtherId('id', request.body.id, request.params.id)
      return service.updateStyle(await scopeOf(request), request.body)
    },
  )

  app.get(
    '/api/kitchens/:kitchenId/styles/:id/style.json',
    {
      schema: {
        operationId: 'exportStyle',
        summary: 'A cut style as a file',
        tags,
        params: fabricationParams,
        response: { 200: styleFile },
      },
    },
    async (request, reply) => {
      const file = await service.exportStyle(await scopeOf(request), request.params.id)
      return reply.header('content-disposition', `attachment; filename="style-${request.params.id}.json"`).send(file)
    },
  )

  app.post(
    '/api/kitchens/:kitchenId/styles/import',
    {
      schema: {
        operationId: 'importStyle',
        summary: 'Takes in a cut style from a file',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        querystring: z.strictObject({ id }),
        body: styleFile,
        response: { 201: style },
      },
    },
    async (request, reply) => {
      const { query, body } = request
      return reply.status(201).send(await service.importStyle(await scopeOf(request), query.id, body))
    },
  )
}
