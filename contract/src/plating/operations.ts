import { operations } from '../operation.ts'
import { plating, platingRequest } from '../plating.ts'

export const platingOperations = operations('plating', {
  matchPlates: {
    method: 'POST',
    path: '/api/plating',
    summary: 'Weighed pieces onto plates',
    body: platingRequest,
    answer: plating,
    refuses: ['cancelled'],
  },
})
