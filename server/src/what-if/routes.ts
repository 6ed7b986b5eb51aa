import { id } from '@fleam/contract/numbers'
import { whatIf, whatIfs } from '@fleam/contract/what-if'
import { fabricationParams, refuseOtherId, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'

const tags = ['what-ifs']
const PATH = '/api/kitchens/:kitchenId/fabrications/:id/what-ifs'
const params = fabricationParams.extend({ whatIfId: id })

/** Other assumptions for a record, kept beside it; they never change it. */
export function whatIfRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    PATH,
    {
      schema: {
        operationId: 'listWhatIfs',
        summary: 'What-ifs that were kept beside a record',
        tags,
        params: fabricationParams,
        response: { 200: whatIfs },
      },
    },
    async (request) => service.kept(await scopeOf(request), request.params.id),
  )

  app.put(
    `${PATH}/:whatIfId`,
    {
      schema: {
        operationId: 'createWhatIf',
        summary: 'Keeps a what-if under a name',
        refuses: ['id-taken'],
        tags,
        params,
        body: whatIf,
        response: { 200: whatIfs },
      },
    },
    async (request) => {
      const { id: fabricationId, whatIfId } = request.params
      refuseOtherId('id', request.body.id, whatIfId)
      return service.createWhatIf(await scopeOf(request), fabricationId, request.body)
    },
  )

  app.delete(
    `${PATH}/:whatIfId`,
    { schema: { operationId: 'deleteWhatIf', summary: 'Lets a what-if go', tags, params, response: { 200: whatIfs } } },
    async (request) => {
      const { id: fabricationId, whatIfId } = request.params
      return service.deleteWhatIf(await scopeOf(request), fabricationId, whatIfId)
    },
  )
}
