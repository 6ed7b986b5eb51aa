import { platingOperations } from '@fleam/contract/plating/operations'
import type { Compute } from '../compute/index.ts'
import { clientGone } from '../http/index.ts'
import { serve } from '../serve/index.ts'

/** Stateless: weighed pieces in, plates out. */
export const platingRoutes = (compute: Compute) =>
  serve(platingOperations, {
    matchPlates: ({ body, reply }) => compute.do('plating', body, clientGone(reply)),
  })
