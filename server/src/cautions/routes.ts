import { cautionOverride, cautionOverrides, cautionScopeQuery } from '@fleam/contract/style'
import { z } from 'zod'
import { kitchenParams, refuseOtherId, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['cautions']
const params = kitchenParams.extend({ cautionId: z.string().max(60) })

/** Cautions as the kitchen's own approved plan has them, each with its reason. */
export function cautionRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    '/api/kitchens/:kitchenId/cautions',
    {
      schema: {
        operationId: 'listCautions',
        summary: 'Cautions that the kitchen’s own plan changes',
        tags,
        params: kitchenParams,
        response: { 200: cautionOverrides },
      },
    },
    async (request) => store.overrides(await scopeOf(request)),
  )

  app.put(
    '/api/kitchens/:kitchenId/cautions/:cautionId',
    {
      schema: {
        operationId: 'updateCaution',
        summary: 'Puts the kitchen’s own words in place of a caution, with a reason',
        tags,
        params,
        body: cautionOverride,
        response: { 200: cautionOverrides },
      },
    },
    async (request) => {
      refuseOtherId('cautionId', request.body.cautionId, request.params.cautionId)
      return service.updateCaution(await scopeOf(request), request.body)
    },
  )

  app.delete(
    '/api/kitchens/:kitchenId/cautions/:cautionId',
    {
      schema: {
        operationId: 'deleteCautionOverride',
        summary: 'Puts a caution back as it was',
        tags,
        params,
        querystring: cautionScopeQuery,
        response: { 200: cautionOverrides },
      },
    },
    async (request) => service.deleteCautionOverride(await scopeOf(request), request.params.cautionId, request.query),
  )
}
