import { orderPlan, orderPlanRequest } from '@fleam/contract/order-plan'
import type { Compute } from '../compute/index.ts'
import { clientGone, type Server } from '../http/index.ts'

/** Stateless: demand in, what to order and how to cut it out. */
export function planningRoutes(app: Server, compute: Compute): void {
  app.post(
    '/api/order-plan',
    {
      schema: {
        operationId: 'planOrders',
        summary: 'What to order and how to cut it, for the least shortage and then the least cost',
        refuses: ['cancelled'],
        tags: ['planning'],
        body: orderPlanRequest,
        response: { 200: orderPlan },
      },
    },
    (request, reply) => compute.do('order-plan', request.body, clientGone(reply)),
  )
}
