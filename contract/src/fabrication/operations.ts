import { appraisal } from '@fleam/core/appraisal'
import { fabricationDocument } from '@fleam/core/fabrication'
import { z } from 'zod'
import { file, operations } from '../operation.ts'
import { keptJudgement } from './judgement.ts'
import { fabricationEdit, fabricationRows, fabricationState, recordVersions } from './schemas.ts'

/** Nobody lists more records at once. */
export const MAX_LISTED = 200
const listQuery = z.strictObject({
  limit: z.coerce.number().int().min(1).max(MAX_LISTED).default(MAX_LISTED),
})

export const fabricationOperations = operations('fabrication', {
  listFabrications: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications',
    summary: 'The latest records with their documents',
    query: listQuery,
    answer: fabricationRows,
  },
  readFabrication: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId',
    summary: 'A record and every fact of it',
    answer: fabricationState,
  },
  updateFabrication: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId',
    summary: 'Changes a record, at the version that was read',
    body: fabricationEdit,
    answer: fabricationState,
    refuses: ['stale-version', 'id-taken'],
  },
  listVersions: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/versions',
    summary: 'A record as it was before each change, newest first',
    answer: recordVersions,
  },
  readJudgement: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/judgement',
    summary: 'What a record was judged at when it was closed, and by which formulas; null for one that is open',
    answer: keptJudgement,
  },
  exportDocument: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/document.json',
    summary: 'The document of a record',
    answer: fabricationDocument,
  },
  readAppraisal: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/appraisal.json',
    summary: 'The appraisal of a record',
    answer: appraisal,
  },
  exportPiles: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/piles.csv',
    summary: 'The piles of a record as CSV',
    answer: file('text/csv'),
  },
})
