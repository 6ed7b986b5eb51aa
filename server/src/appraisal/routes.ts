import { appraisal } from '@fleam/contract/appraisal'
import { fabricationDocument } from '@fleam/contract/fabrication-document'
import { appraise } from '@fleam/core/appraisal'
import type { Compute } from '../compute/index.ts'
import { isLong } from '../documents/index.ts'
import { clientGone, type Server } from '../http/index.ts'

/** Stateless: a document in, its appraisal out. */
export function appraisalRoutes(app: Server, compute: Compute): void {
  app.post(
    '/api/appraise',
    {
      schema: {
        operationId: 'appraise',
        summary: 'Yields, costs, comparisons and what would turn them, of a document',
        refuses: ['cancelled'],
        tags: ['appraisal'],
        body: fabricationDocument,
        response: { 200: appraisal },
      },
    },
    async (request, reply) =>
      isLong(request.body) ? compute.do('appraise', request.body, clientGone(reply)) : appraise(request.body),
  )
}
