import { schedule, scheduleRequest } from '@fleam/contract/schedule'
import type { Compute } from '../compute/index.ts'
import { clientGone, type Server } from '../http/index.ts'

/** Stateless: work that has to be done in, who does what, when and where out. */
export function schedulingRoutes(app: Server, compute: Compute): void {
  app.post(
    '/api/schedule',
    {
      schema: {
        operationId: 'planSchedule',
        summary: 'Who does what, when and where: the fewest late minutes, then of cleaning, then of food that waits',
        refuses: ['cancelled'],
        tags: ['planning'],
        body: scheduleRequest,
        response: { 200: schedule },
      },
    },
    (request, reply) => compute.do('schedule', request.body, clientGone(reply)),
  )
}
