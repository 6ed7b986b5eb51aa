import { appraisal } from '@fleam/core/appraisal'
import { fabricationDocument } from '@fleam/core/fabrication'
import { operations } from '../operation.ts'

export const appraisalOperations = operations('appraisal', {
  appraise: {
    method: 'POST',
    path: '/api/appraise',
    summary: 'Yields, costs, comparisons and what would turn them, of a document',
    body: fabricationDocument,
    answer: appraisal,
    refuses: ['cancelled'],
  },
})
