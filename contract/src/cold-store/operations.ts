import { operations } from '../operation.ts'
import { lastDayAnswer, lastDayRequest } from './schemas.ts'

export const lastDayOperations = operations('cold store', {
  lastDay: {
    method: 'POST',
    path: '/api/last-day',
    summary: 'The last day of a pack or a lot after all that happened to it, and what was refused',
    body: lastDayRequest,
    answer: lastDayAnswer,
  },
})
