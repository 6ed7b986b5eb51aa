import { whatIfOperations } from '@fleam/contract/what-if/operations'
import { refuseOtherId } from '../http/index.ts'
import { serve } from '../serve/index.ts'
import * as service from './service.ts'

/** Other assumptions for a record, kept beside it; they never change it. */
export const whatIfRoutes = serve(whatIfOperations, {
  listWhatIfs: ({ scope, params }) => service.kept(scope, params.fabricationId),
  createWhatIf: ({ scope, params: { fabricationId, whatIfId }, body }) => {
    refuseOtherId('id', body.id, whatIfId)
    return service.createWhatIf(scope, fabricationId, body)
  },
  deleteWhatIf: ({ scope, params }) => service.deleteWhatIf(scope, params.fabricationId, params.whatIfId),
})
