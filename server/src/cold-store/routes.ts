import { lastDayOperations } from '@fleam/contract/cold-store/operations'
import { lastDay } from '@fleam/core/cold-store'
import { serve } from '../serve/index.ts'

/** Stateless: what happened to a pack or a lot in, its last day out. */
export const lastDayRoutes = serve(lastDayOperations, {
  lastDay: ({ body }) => lastDay(body),
})
