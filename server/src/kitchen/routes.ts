import { cook, cooks, kitchen, kitchenOffer, kitchenOffers, kitchenSetUp, kitchens } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { kitchenParams, type Server } from '../http/schemas.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['kitchen']

export function kitchenRoutes(app: Server, database: Sequelize): void {
  app.get('/api/kitchens', { schema: { tags, response: { 200: kitchens } } }, () => store.kitchens(database))

  app.post(
    '/api/kitchens',
    { schema: { tags, body: kitchenSetUp, response: { 201: kitchen } } },
    async (request, reply) => reply.status(201).send(await service.setUpKitchen(database, request.body)),
  )

  app.get(
    '/api/kitchens/:kitchenId',
    { schema: { tags, params: kitchenParams, response: { 200: kitchen } } },
    (request) => service.requireKitchen(database, request.params.kitchenId),
  )

  app.get(
    '/api/kitchens/:kitchenId/cooks',
    { schema: { tags, params: kitchenParams, response: { 200: cooks } } },
    (request) => store.cooks(database, request.params.kitchenId),
  )

  app.post(
    '/api/kitchens/:kitchenId/cooks',
    { schema: { tags, params: kitchenParams, body: cook, response: { 201: cook } } },
    async (request, reply) =>
      reply.status(201).send(await service.addCook(database, request.params.kitchenId, request.body)),
  )

  app.get(
    '/api/kitchens/:kitchenId/offers',
    { schema: { tags, params: kitchenParams, response: { 200: kitchenOffers } } },
    (request) => store.offers(database, request.params.kitchenId),
  )

  app.post(
    '/api/kitchens/:kitchenId/offers',
    { schema: { tags, params: kitchenParams, body: kitchenOffer, response: { 201: kitchenOffer } } },
    async (request, reply) =>
      reply.status(201).send(await service.addOffer(database, request.params.kitchenId, request.body)),
  )
}
