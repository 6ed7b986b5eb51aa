import { id } from '@fleam/contract'
import { documentOf } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import { z } from 'zod'
import { dayOfKitchen } from '../buying/day.ts'
import type { Clock } from '../fabrication/routes.ts'
import { requireState } from '../fabrication/service.ts'
import { notFound } from '../http/problems.ts'
import { fabricationParams, type Server } from '../http/schemas.ts'
import { requireKitchen } from '../kitchen/service.ts'
import { whatIfs } from '../what-if/store.ts'
import { sheetContent } from './content.ts'
import { sheetPdf } from './page.ts'

const query = z.object({ 'what-if': id.optional() })

/** The verdict as one page for the office, of the record or of a what-if that was kept. */
export function sheetRoutes(app: Server, database: Sequelize, clock: Clock): void {
  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/sheet.pdf',
    { schema: { tags: ['fabrication'], params: fabricationParams, querystring: query } },
    async (request, reply) => {
      const { kitchenId, id: fabricationId } = request.params
      const kitchen = await requireKitchen(database, kitchenId)
      const state = await requireState(database, kitchenId, fabricationId)
      const wanted = request.query['what-if']
      const tried = wanted && (await whatIfs(database, kitchenId, fabricationId)).find((each) => each.id === wanted)
      if (wanted && !tried) throw notFound('what-if')
      const now = clock.now()
      const document = tried
        ? documentOf({ ...state.record, ...tried.assumptions }, state)
        : documentOf(state.record, state, { nowMs: now.getTime() })
      const content = sheetContent(state.record, document, {
        kitchen: kitchen.name,
        units: kitchen.units,
        today: dayOfKitchen(kitchen, now),
        whatIf: tried ? tried.name : null,
      })
      return reply
        .header('content-disposition', `inline; filename="verdict-${fabricationId}.pdf"`)
        .type('application/pdf')
        .send(await sheetPdf(content))
    },
  )
}
