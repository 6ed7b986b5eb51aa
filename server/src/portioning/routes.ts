import { portioningOperations } from '@fleam/contract/portioning/operations'
import { racksRequested } from '@fleam/core/portioning'
import type { Compute } from '../compute/index.ts'
import { clientGone } from '../http/index.ts'
import { serve } from '../serve/index.ts'

/** Stateless: a piece and what is wanted of it in, its cuts out. */
export const portioningRoutes = (compute: Compute) =>
  serve(portioningOperations, {
    planPortions: ({ body, reply }) => compute.do('portion-plan', body, clientGone(reply)),
    planBonded: ({ body, reply }) => compute.do('bonded-plan', body, clientGone(reply)),
    planRacks: ({ body, reply }) => compute.do('rack-plan', racksRequested.parse(body), clientGone(reply)),
  })
