import { id } from '@fleam/contract/numbers'
import {
  arrival,
  expectedLine,
  expectedLines,
  plan,
  planAccepted,
  planCreated,
  planEdit,
  planGoods,
  plannedEdit,
  plannedFabrication,
  plannedFabrications,
  planRows as planRowsAnswer,
} from '@fleam/contract/planning'
import { Op } from 'sequelize'
import { z } from 'zod'
import { fabricationParams, kitchenParams, type Server } from '../http/index.ts'
import { dayOf, type Scopes } from '../scope/index.ts'
import { goodsOf } from './goods.ts'
import { planRows } from './plan-rows.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['planning']
const BASE = '/api/kitchens/:kitchenId'
/** Ids in one word, apart by commas. */
const MAX_PRODUCTS = 60
const goodsQuery = z.strictObject({
  products: z
    .string()
    .max(40 * MAX_PRODUCTS)
    .transform((text) => text.split(',').filter((each) => each !== ''))
    .pipe(z.array(id).max(MAX_PRODUCTS)),
  /** The accepted plan of which what is left is planned: it holds nothing, and what it ordered is on its way. */
  replaces: id.nullable().default(null),
})
const MAX_VERSION = 1_000_000_000
const at = z.strictObject({ version: z.coerce.number().int().min(1).max(MAX_VERSION) })

/** Plans that a kitchen keeps, and what is expected and planned of those that it accepted. */
export function kitchenPlanRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    `${BASE}/plan-goods`,
    {
      schema: {
        operationId: 'readPlanGoods',
        summary: 'What a plan of some products can rest on, and where each value is from',
        tags,
        params: kitchenParams,
        querystring: goodsQuery,
        response: { 200: planGoods },
      },
    },
    async (request) => goodsOf(await scopeOf(request), request.query),
  )

  app.get(
    `${BASE}/plans`,
    {
      schema: {
        operationId: 'listPlans',
        summary: 'Plans, the latest first, and how far each has come',
        tags,
        params: kitchenParams,
        response: { 200: planRowsAnswer },
      },
    },
    async (request) => planRows(await scopeOf(request)),
  )

  app.post(
    `${BASE}/plans`,
    {
      schema: {
        operationId: 'createPlan',
        summary: 'Keeps a plan',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        body: planCreated,
        response: { 201: plan },
      },
    },
    async (request, reply) => reply.status(201).send(await service.createPlan(await scopeOf(request), request.body)),
  )

  planRoutes(app, scopeOf)
  acceptedRoutes(app, scopeOf)
}

/** One plan. */
function planRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    `${BASE}/plans/:id`,
    {
      schema: {
        operationId: 'readPlan',
        summary: 'A plan, and what came of it where it was accepted',
        tags,
        params: fabricationParams,
        response: { 200: plan },
      },
    },
    async (request) => service.plan(await scopeOf(request), request.params.id),
  )

  app.put(
    `${BASE}/plans/:id`,
    {
      schema: {
        operationId: 'updatePlan',
        summary: 'Changes a plan, at the version that was read',
        refuses: ['stale-version'],
        tags,
        params: fabricationParams,
        body: planEdit,
        response: { 200: plan },
      },
    },
    async (request) => service.updatePlan(await scopeOf(request), request.params.id, request.body),
  )

  app.delete(
    `${BASE}/plans/:id`,
    {
      schema: {
        operationId: 'deletePlan',
        summary: 'Lets a plan go that was not accepted',
        tags,
        params: fabricationParams,
        response: { 200: planRowsAnswer },
      },
    },
    async (request) => {
      const scope = await scopeOf(request)
      await service.deletePlan(scope, request.params.id)
      return planRows(scope)
    },
  )

  app.post(
    `${BASE}/plans/:id/acceptance`,
    {
      schema: {
        operationId: 'acceptPlan',
        summary: 'Accepts a plan: its orders are expected, what it cuts is planned',
        refuses: ['stale-version'],
        tags,
        params: fabricationParams,
        body: planAccepted,
        response: { 200: plan },
      },
    },
    async (request) => service.acceptPlan(await scopeOf(request), request.params.id, request.body),
  )

  app.delete(
    `${BASE}/plans/:id/acceptance`,
    {
      schema: {
        operationId: 'withdrawPlan',
        summary: 'Takes an acceptance back, as long as nothing came of it',
        refuses: ['stale-version'],
        tags,
        params: fabricationParams,
        querystring: at,
        response: { 200: plan },
      },
    },
    async (request) => service.withdrawPlan(await scopeOf(request), request.params.id, request.query.version),
  )
}

/** What is expected and planned. */
function acceptedRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    `${BASE}/expected`,
    {
      schema: {
        operationId: 'listExpected',
        summary: 'Lines of orders that are expected from today on, and those that have not come',
        tags,
        params: kitchenParams,
        response: { 200: expectedLines },
      },
    },
    async (request) => {
      const scope = await scopeOf(request)
      return (await store.expectedLines(scope, {})).filter(
        ({ day, arrived, lots }) => day >= dayOf(scope) || (arrived === null && lots.length === 0),
      )
    },
  )

  app.put(
    `${BASE}/expected/:id`,
    {
      schema: {
        operationId: 'updateExpected',
        summary: 'Says how many packs of a line came',
        tags,
        params: fabricationParams,
        body: arrival,
        response: { 200: expectedLine },
      },
    },
    async (request) => service.arrive(await scopeOf(request), request.params.id, request.body.arrived),
  )

  app.get(
    `${BASE}/planned`,
    {
      schema: {
        operationId: 'listPlanned',
        summary: 'Planned fabrications that wait to be cut, or the one that a record was',
        tags,
        params: kitchenParams,
        querystring: z.strictObject({ fabrication: id.optional() }),
        response: { 200: plannedFabrications },
      },
    },
    async (request) => {
      const { fabrication } = request.query
      const scope = await scopeOf(request)
      if (fabrication !== undefined) return service.planned(scope, { fabricationId: fabrication })
      return service.planned(scope, { fabricationId: { [Op.is]: null }, isDropped: false })
    },
  )

  app.put(
    `${BASE}/planned/:id`,
    {
      schema: {
        operationId: 'updatePlanned',
        summary: 'Says who cuts something planned, or that it is not cut after all',
        tags,
        params: fabricationParams,
        body: plannedEdit,
        response: { 200: plannedFabrication },
      },
    },
    async (request) => service.updatePlanned(await scopeOf(request), request.params.id, request.body),
  )
}
