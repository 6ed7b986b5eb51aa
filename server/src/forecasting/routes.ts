import { forecastingOperations } from '@fleam/contract/forecasting/operations'
import { serve } from '../serve/index.ts'
import { evidenceFor } from './service.ts'

/** What a forecast rests on; the forecast itself is drawn where it is looked at. */
export const forecastingRoutes = serve(forecastingOperations, {
  readEvidence: ({ scope, params }) => evidenceFor(scope, params.fabricationId),
})
