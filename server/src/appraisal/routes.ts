import { appraisalOperations } from '@fleam/contract/appraisal/operations'
import { appraise } from '@fleam/core/appraisal'
import type { Compute } from '../compute/index.ts'
import { isLong } from '../documents/index.ts'
import { clientGone } from '../http/index.ts'
import { serve } from '../serve/index.ts'

/** Stateless: a document in, its appraisal out. */
export const appraisalRoutes = (compute: Compute) =>
  serve(appraisalOperations, {
    appraise: ({ body, reply }) => (isLong(body) ? compute.do('appraise', body, clientGone(reply)) : appraise(body)),
  })
