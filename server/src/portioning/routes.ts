import {
  bondedPlan,
  bondedRequest,
  portionPlan,
  portionRequest,
  rackPlan,
  rackRequest,
  racksRequested,
} from '@fleam/contract/portioning'
import type { Compute } from '../compute/index.ts'
import { clientGone, type Server } from '../http/index.ts'

const tags = ['portioning']

/** Stateless: a piece and what is wanted of it in, its cuts out. */
export function portioningRoutes(app: Server, compute: Compute): void {
  app.post(
    '/api/portion-plan',
    {
      schema: {
        operationId: 'planPortions',
        summary: 'Where to cut one piece',
        refuses: ['cancelled'],
        tags,
        body: portionRequest,
        response: { 200: portionPlan },
      },
    },
    (request, reply) => compute.do('portion-plan', request.body, clientGone(reply)),
  )

  app.post(
    '/api/bonded-plan',
    {
      schema: {
        operationId: 'planBonded',
        summary: 'Where to cut two pieces that are bonded to one',
        refuses: ['cancelled'],
        tags,
        body: bondedRequest,
        response: { 200: bondedPlan },
      },
    },
    (request, reply) => compute.do('bonded-plan', request.body, clientGone(reply)),
  )

  app.post(
    '/api/rack-plan',
    {
      schema: {
        operationId: 'planRacks',
        summary: 'How to share ribs among plates',
        refuses: ['cancelled'],
        tags,
        body: rackRequest,
        response: { 200: rackPlan },
      },
    },
    (request, reply) => {
      return compute.do('rack-plan', racksRequested.parse(request.body), clientGone(reply))
    },
  )
}
