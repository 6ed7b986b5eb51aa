import { lastDayAnswer, lastDayRequest } from '@fleam/contract/last-day'
import { lastDay } from '@fleam/core/cold-store'
import type { Server } from '../http/index.ts'

/** Stateless: what happened to a pack or a lot in, its last day out. */
export function lastDayRoutes(app: Server): void {
  app.post(
    '/api/last-day',
    {
      schema: {
        operationId: 'lastDay',
        summary: 'The last day of a pack or a lot after all that happened to it, and what was refused',
        tags: ['cold store'],
        body: lastDayRequest,
        response: { 200: lastDayAnswer },
      },
    },
    (request) => lastDay(request.body),
  )
}
