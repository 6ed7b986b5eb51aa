import {
  cook,
  cookEdit,
  cooks,
  cookWeeks,
  kitchen,
  kitchenEdit,
  kitchenOffer,
  kitchenOffers,
  kitchenSetUp,
  kitchens,
  newCook,
} from '@fleam/contract/kitchen'
import type { Database } from '../database/index.ts'
import { fabricationParams, kitchenParams, type Server } from '../http/index.ts'
import type { Clock, Scopes } from '../scope/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['kitchen']

export function kitchenRoutes(app: Server, database: Database, scopeOf: Scopes, clock: Clock): void {
  app.get(
    '/api/kitchens',
    { schema: { operationId: 'listKitchens', summary: 'Every kitchen', tags, response: { 200: kitchens } } },
    () => store.kitchens(database),
  )

  app.post(
    '/api/kitchens',
    {
      schema: {
        operationId: 'setUpKitchen',
        summary: 'Sets up a kitchen with the catalogue',
        refuses: ['id-taken'],
        tags,
        body: kitchenSetUp,
        response: { 201: kitchen },
      },
    },
    async (request, reply) => reply.status(201).send(await service.setUpKitchen(database, request.body, clock)),
  )

  app.get(
    '/api/kitchens/:kitchenId',
    {
      schema: {
        operationId: 'readKitchen',
        summary: 'One kitchen',
        tags,
        params: kitchenParams,
        response: { 200: kitchen },
      },
    },
    async (request) => (await scopeOf(request)).kitchen,
  )

  app.put(
    '/api/kitchens/:kitchenId',
    {
      schema: {
        operationId: 'updateKitchen',
        summary: 'Changes what a kitchen says of itself; its money stays',
        tags,
        params: kitchenParams,
        body: kitchenEdit,
        response: { 200: kitchen },
      },
    },
    async (request) => service.updateKitchen(await scopeOf(request), request.body),
  )

  app.put(
    '/api/kitchens/:kitchenId/cooks/:id',
    {
      schema: {
        operationId: 'updateCook',
        summary: 'Changes the name and the wage of a cook',
        refuses: ['id-taken'],
        tags,
        params: fabricationParams,
        body: cookEdit,
        response: { 200: cook },
      },
    },
    async (request) => service.updateCook(await scopeOf(request), request.params.id, request.body),
  )

  app.get(
    '/api/kitchens/:kitchenId/cooks',
    {
      schema: {
        operationId: 'listCooks',
        summary: 'Who cuts here',
        tags,
        params: kitchenParams,
        response: { 200: cooks },
      },
    },
    async (request) => store.cooks(await scopeOf(request)),
  )

  app.put(
    '/api/kitchens/:kitchenId/cook-weeks',
    {
      schema: {
        operationId: 'updateCookWeeks',
        summary: 'Changes when cooks are at the board and what they may cut, all or none',
        tags,
        params: kitchenParams,
        body: cookWeeks,
        response: { 200: cooks },
      },
    },
    async (request) => service.updateCookWeeks(await scopeOf(request), request.body),
  )

  app.post(
    '/api/kitchens/:kitchenId/cooks',
    {
      schema: {
        operationId: 'createCook',
        summary: 'Adds a cook',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        body: newCook,
        response: { 201: cook },
      },
    },
    async (request, reply) => reply.status(201).send(await service.createCook(await scopeOf(request), request.body)),
  )

  app.get(
    '/api/kitchens/:kitchenId/offers',
    {
      schema: {
        operationId: 'listOffers',
        summary: 'What can be bought ready-portioned',
        tags,
        params: kitchenParams,
        response: { 200: kitchenOffers },
      },
    },
    async (request) => store.offers(await scopeOf(request)),
  )

  app.post(
    '/api/kitchens/:kitchenId/offers',
    {
      schema: {
        operationId: 'createOffer',
        summary: 'Adds an offer for a pile',
        refuses: ['id-taken', 'pile-unknown'],
        tags,
        params: kitchenParams,
        body: kitchenOffer,
        response: { 201: kitchenOffer },
      },
    },
    async (request, reply) => reply.status(201).send(await service.createOffer(await scopeOf(request), request.body)),
  )
}
