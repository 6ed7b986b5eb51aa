import { container, containers } from '@fleam/contract/style'
import { fabricationParams, kitchenParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['containers']

/** Containers whose weight a kitchen remembers by name. */
export function containerRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    '/api/kitchens/:kitchenId/containers',
    {
      schema: {
        operationId: 'listContainers',
        summary: 'Containers whose weight is remembered',
        tags,
        params: kitchenParams,
        response: { 200: containers },
      },
    },
    async (request) => store.containers(await scopeOf(request)),
  )

  app.post(
    '/api/kitchens/:kitchenId/containers',
    {
      schema: {
        operationId: 'createContainer',
        summary: 'Remembers the weight of a container',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        body: container,
        response: { 201: containers },
      },
    },
    async (request, reply) =>
      reply.status(201).send(await service.createContainer(await scopeOf(request), request.body)),
  )

  app.delete(
    '/api/kitchens/:kitchenId/containers/:id',
    {
      schema: {
        operationId: 'deleteContainer',
        summary: 'Forgets a container',
        tags,
        params: fabricationParams,
        response: { 200: containers },
      },
    },
    async (request) => service.deleteContainer(await scopeOf(request), request.params.id),
  )
}
