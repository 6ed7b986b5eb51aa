import { operations } from '../operation.ts'
import { forecastEvidence } from './schemas.ts'

export const forecastingOperations = operations('forecasting', {
  readEvidence: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/evidence',
    summary: 'What a forecast of a record rests on',
    answer: forecastEvidence,
  },
})
