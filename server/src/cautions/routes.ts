import { cautionOverride, cautionOverrides } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { z } from 'zod'
import { refuseOtherId } from '../http/problems.ts'
import { kitchenParams, type Server } from '../http/schemas.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['cautions']
const params = kitchenParams.extend({ cautionId: z.string().max(60) })

/** Cautions as the kitchen's own approved plan has them, each with its reason. */
export function cautionRoutes(app: Server, database: Sequelize): void {
  app.get(
    '/api/kitchens/:kitchenId/cautions',
    { schema: { tags, params: kitchenParams, response: { 200: cautionOverrides } } },
    (request) => store.overrides(database, request.params.kitchenId),
  )

  app.put(
    '/api/kitchens/:kitchenId/cautions/:cautionId',
    { schema: { tags, params, body: cautionOverride, response: { 200: cautionOverrides } } },
    (request) => {
      refuseOtherId('cautionId', request.body.cautionId, request.params.cautionId)
      return service.override(database, request.params.kitchenId, request.body)
    },
  )

  app.delete(
    '/api/kitchens/:kitchenId/cautions/:cautionId',
    { schema: { tags, params, response: { 200: cautionOverrides } } },
    (request) => service.restore(database, request.params.kitchenId, request.params.cautionId),
  )
}
