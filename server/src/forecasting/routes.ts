import { forecastEvidence } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { dayOfKitchen } from '../buying/day.ts'
import type { Clock } from '../fabrication/routes.ts'
import { fabricationParams, type Server } from '../http/schemas.ts'
import { requireKitchen } from '../kitchen/service.ts'
import { evidenceFor } from './service.ts'

const tags = ['forecasting']

/** What a forecast rests on; the forecast itself is drawn where it is looked at. */
export function forecastingRoutes(app: Server, database: Sequelize, clock: Clock): void {
  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/evidence',
    { schema: { tags, params: fabricationParams, response: { 200: forecastEvidence } } },
    async (request) => {
      const { kitchenId, id } = request.params
      const kitchen = await requireKitchen(database, kitchenId)
      return evidenceFor(database, kitchenId, id, dayOfKitchen(kitchen, clock.now()))
    },
  )
}
