import { planOperations } from '@fleam/contract/planning/operations'
import { Op } from 'sequelize'
import { dayOf } from '../scope/index.ts'
import { serve } from '../serve/index.ts'
import { goodsOf } from './goods.ts'
import { planRows } from './plan-rows.ts'
import * as service from './service.ts'
import * as store from './store.ts'

/** Plans that a kitchen keeps, and what is expected and planned of those that it accepted. */
export const kitchenPlanRoutes = serve(planOperations, {
  readPlanGoods: ({ scope, query }) => goodsOf(scope, query),
  listPlans: ({ scope }) => planRows(scope),
  createPlan: ({ scope, body }) => service.createPlan(scope, body),
  readPlan: ({ scope, params }) => service.plan(scope, params.planId),
  updatePlan: ({ scope, params, body }) => service.updatePlan(scope, params.planId, body),
  deletePlan: async ({ scope, params }) => {
    await service.deletePlan(scope, params.planId)
    return planRows(scope)
  },
  acceptPlan: ({ scope, params, body }) => service.acceptPlan(scope, params.planId, body),
  withdrawPlan: ({ scope, params, query }) => service.withdrawPlan(scope, params.planId, query.version),
  listExpected: async ({ scope }) =>
    (await store.expectedLines(scope, {})).filter(
      ({ day, arrived, lots }) => day >= dayOf(scope) || (arrived === null && lots.length === 0),
    ),
  updateExpected: ({ scope, params, body }) => service.arrive(scope, params.lineId, body.arrived),
  listPlanned: ({ scope, query: { fabrication } }) => {
    if (fabrication !== undefined) return service.planned(scope, { fabricationId: fabrication })
    return service.planned(scope, { fabricationId: { [Op.is]: null }, isDropped: false })
  },
  updatePlanned: ({ scope, params, body }) => service.updatePlanned(scope, params.plannedId, body),
})
