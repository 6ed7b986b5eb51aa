import { plating, platingRequest } from '@fleam/contract/plating'
import type { Compute } from '../compute/index.ts'
import { clientGone, type Server } from '../http/index.ts'

/** Stateless: weighed pieces in, plates out. */
export function platingRoutes(app: Server, compute: Compute): void {
  app.post(
    '/api/plating',
    {
      schema: {
        operationId: 'matchPlates',
        summary: 'Weighed pieces onto plates',
        refuses: ['cancelled'],
        tags: ['plating'],
        body: platingRequest,
        response: { 200: plating },
      },
    },
    (request, reply) => compute.do('plating', request.body, clientGone(reply)),
  )
}
