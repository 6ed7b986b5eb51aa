import { z } from 'zod'
import { operations } from '../operation.ts'
import { UNREADABLE_KINDS, unreadableRows } from './schemas.ts'

export const unreadableOperations = operations('unreadable', {
  listUnreadable: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/unreadable',
    summary: 'What the lists of this kitchen leave out because it cannot be read',
    answer: unreadableRows,
  },
  strikeUnreadable: {
    method: 'DELETE',
    path: '/api/kitchens/:kitchenId/unreadable/:kind/:rowId',
    summary: 'Strikes something that cannot be read',
    params: { kind: z.enum(UNREADABLE_KINDS) },
    answer: unreadableRows,
  },
})
