import { operations } from '../operation.ts'
import { health } from './schemas.ts'

export const healthOperations = operations('health', {
  readHealth: {
    method: 'GET',
    path: '/api/health',
    summary: 'Whether the database answers and its schema is up to date',
    answer: health,
    failsWith: 503,
  },
})
