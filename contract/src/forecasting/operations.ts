import { forecastEvidence } from '../forecasting.ts'
import { operations } from '../operation.ts'

export const forecastingOperations = operations('forecasting', {
  readEvidence: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/evidence',
    summary: 'What a forecast of a record rests on',
    answer: forecastEvidence,
  },
})
