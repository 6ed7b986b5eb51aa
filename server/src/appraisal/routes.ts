import { appraisal, fabricationDocument } from '@fleam/contract'
import { appraise } from '@fleam/core'
import type { Server } from '../http/index.ts'

/** Stateless: a document in, its appraisal out. */
export function appraisalRoutes(app: Server): void {
  app.post(
    '/api/appraise',
    { schema: { tags: ['appraisal'], body: fabricationDocument, response: { 200: appraisal } } },
    (request) => Promise.resolve(appraise(request.body)),
  )
}
