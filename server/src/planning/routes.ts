import { orderPlanOperations } from '@fleam/contract/planning/operations'
import type { Compute } from '../compute/index.ts'
import { clientGone } from '../http/index.ts'
import { serve } from '../serve/index.ts'

/** Stateless: demand in, what to order and how to cut it out. */
export const planningRoutes = (compute: Compute) =>
  serve(orderPlanOperations, {
    planOrders: ({ body, reply }) => compute.do('order-plan', body, clientGone(reply)),
  })
