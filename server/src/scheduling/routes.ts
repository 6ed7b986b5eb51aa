import { scheduleOperations } from '@fleam/contract/scheduling/operations'
import type { Compute } from '../compute/index.ts'
import { clientGone } from '../http/index.ts'
import { serve } from '../serve/index.ts'

/** Stateless: work that has to be done in, who does what, when and where out. */
export const schedulingRoutes = (compute: Compute) =>
  serve(scheduleOperations, {
    planSchedule: ({ body, reply }) => compute.do('schedule', body, clientGone(reply)),
  })
