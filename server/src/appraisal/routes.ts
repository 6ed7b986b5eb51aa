import { appraisal, fabricationDocument } from '@fleam/contract'
import { appraise } from '@fleam/core'
import type { Server } from '../http/index.ts'

/** Stateless: a document in, its appraisal out. */
export function appraisalRoutes(app: Server): void {
  app.post(
    '/api/appraise',
    {
      schema: {
        operationId: 'appraise',
        summary: 'Yields, costs, comparisons and what would turn them, of a document',
        tags: ['appraisal'],
        body: fabricationDocument,
        response: { 200: appraisal },
      },
    },
    (request) => Promise.resolve(appraise(request.body)),
  )
}
