import { id } from '@fleam/core/values'
import { z } from 'zod'
import { file, operations } from '../operation.ts'

const query = z.object({ 'what-if': id.optional() })

export const sheetOperations = operations('fabrication', {
  readSheet: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/sheet.pdf',
    summary: 'The verdict as one page of PDF',
    query,
    answer: file('application/pdf'),
  },
})
