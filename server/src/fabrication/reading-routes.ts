import { readingsKept, readingsSent } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { fabricationParams, type Server } from '../http/schemas.ts'
import { ReadingLog } from './readings.ts'

const tags = ['fabrication']

/** Weighings, from however many devices: answered only once they are stored. */
export function readingRoutes(app: Server, database: Sequelize): void {
  const log = new ReadingLog(database)

  app.post(
    '/api/kitchens/:kitchenId/fabrications/:id/readings',
    { schema: { tags, params: fabricationParams, body: readingsSent, response: { 200: readingsKept } } },
    async (request) => ({ kept: await log.append(request.params.kitchenId, request.params.id, request.body) }),
  )
}
