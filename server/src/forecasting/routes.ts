import { forecastEvidence } from '@fleam/contract/forecasting'
import { fabricationParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import { evidenceFor } from './service.ts'

const tags = ['forecasting']

/** What a forecast rests on; the forecast itself is drawn where it is looked at. */
export function forecastingRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/evidence',
    {
      schema: {
        operationId: 'readEvidence',
        summary: 'What a forecast of a record rests on',
        tags,
        params: fabricationParams,
        response: { 200: forecastEvidence },
      },
    },
    async (request) => evidenceFor(await scopeOf(request), request.params.id),
  )
}
