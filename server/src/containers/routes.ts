import { container, containers } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { fabricationParams, kitchenParams, type Server } from '../http/schemas.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['containers']

/** Containers whose weight a kitchen remembers by name. */
export function containerRoutes(app: Server, database: Sequelize): void {
  app.get(
    '/api/kitchens/:kitchenId/containers',
    { schema: { tags, params: kitchenParams, response: { 200: containers } } },
    (request) => store.containers(database, request.params.kitchenId),
  )

  app.post(
    '/api/kitchens/:kitchenId/containers',
    { schema: { tags, params: kitchenParams, body: container, response: { 201: containers } } },
    async (request, reply) =>
      reply.status(201).send(await service.remember(database, request.params.kitchenId, request.body)),
  )

  app.delete(
    '/api/kitchens/:kitchenId/containers/:id',
    { schema: { tags, params: fabricationParams, response: { 200: containers } } },
    (request) => service.forget(database, request.params.kitchenId, request.params.id),
  )
}
