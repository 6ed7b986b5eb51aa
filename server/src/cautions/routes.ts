import { cautionOperations } from '@fleam/contract/cautions/operations'
import { refuseOtherId } from '../http/index.ts'
import { serve } from '../serve/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

/** Cautions as the kitchen's own approved plan has them, each with its reason. */
export const cautionRoutes = serve(cautionOperations, {
  listCautions: ({ scope }) => store.overrides(scope),
  updateCaution: ({ scope, params, body }) => {
    refuseOtherId('cautionId', body.cautionId, params.cautionId)
    return service.updateCaution(scope, body)
  },
  deleteCautionOverride: ({ scope, params, query }) => service.deleteCautionOverride(scope, params.cautionId, query),
})
