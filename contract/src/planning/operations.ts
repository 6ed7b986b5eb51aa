import { orderPlan, orderPlanRequest, planGoods } from '@fleam/core/planning'
import {
  arrival,
  expectedLine,
  expectedLines,
  plan,
  planAccepted,
  planCreated,
  planEdit,
  plannedEdit,
  plannedFabrication,
  plannedFabrications,
  planRows as planRowsAnswer,
} from '@fleam/core/plans'
import { id } from '@fleam/core/values'
import { z } from 'zod'
import { operations } from '../operation.ts'

export const orderPlanOperations = operations('planning', {
  planOrders: {
    method: 'POST',
    path: '/api/order-plan',
    summary: 'What to order and how to cut it, for the least shortage and then the least cost',
    body: orderPlanRequest,
    answer: orderPlan,
    refuses: ['cancelled'],
  },
})

const MAX_PRODUCTS = 60
/** Ids in one word, apart by commas. */
const goodsQuery = z.strictObject({
  products: z
    .string()
    .max(40 * MAX_PRODUCTS)
    .default('')
    .transform((text) => text.split(',').filter((productId) => productId !== ''))
    .pipe(z.array(id).max(MAX_PRODUCTS)),
  /** The accepted plan of which what is left is planned: it holds nothing, and what it ordered is on its way. */
  replaces: id.nullable().default(null),
})
const MAX_VERSION = 1_000_000_000
/** The version at which a plan was read. */
const versionQuery = z.strictObject({ version: z.coerce.number().int().min(1).max(MAX_VERSION) })

export const planOperations = operations('planning', {
  readPlanGoods: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/plan-goods',
    summary: 'What a plan of some products can rest on, and where each value is from',
    query: goodsQuery,
    answer: planGoods,
  },
  listPlans: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/plans',
    summary: 'Plans, the latest first, and how far each has come',
    answer: planRowsAnswer,
  },
  createPlan: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/plans',
    summary: 'Keeps a plan',
    body: planCreated,
    answer: plan,
    status: 201,
    refuses: ['id-taken'],
  },
  readPlan: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/plans/:planId',
    summary: 'A plan, and what came of it where it was accepted',
    answer: plan,
  },
  updatePlan: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/plans/:planId',
    summary: 'Changes a plan, at the version that was read',
    body: planEdit,
    answer: plan,
    refuses: ['stale-version'],
  },
  deletePlan: {
    method: 'DELETE',
    path: '/api/kitchens/:kitchenId/plans/:planId',
    summary: 'Lets a plan go that was not accepted',
    answer: planRowsAnswer,
  },
  acceptPlan: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/plans/:planId/acceptance',
    summary: 'Accepts a plan: its orders are expected, what it cuts is planned',
    body: planAccepted,
    answer: plan,
    refuses: ['stale-version'],
  },
  withdrawPlan: {
    method: 'DELETE',
    path: '/api/kitchens/:kitchenId/plans/:planId/acceptance',
    summary: 'Takes an acceptance back, as long as nothing came of it',
    query: versionQuery,
    answer: plan,
    refuses: ['stale-version'],
  },
  listExpected: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/expected',
    summary: 'Lines of orders that are expected from today on, and those that have not come',
    answer: expectedLines,
  },
  updateExpected: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/expected/:lineId',
    summary: 'Says how many packs of a line came',
    body: arrival,
    answer: expectedLine,
  },
  listPlanned: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/planned',
    summary: 'Planned fabrications that wait to be cut, or the one that a record was',
    query: z.strictObject({ fabrication: id.optional() }),
    answer: plannedFabrications,
  },
  updatePlanned: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/planned/:plannedId',
    summary: 'Says who cuts something planned, or that it is not cut after all',
    body: plannedEdit,
    answer: plannedFabrication,
  },
})
