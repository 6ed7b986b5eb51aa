import { plating, platingRequest } from '@fleam/core/plating'
import { operations } from '../operation.ts'

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
