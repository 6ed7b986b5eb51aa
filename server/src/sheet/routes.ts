import { id } from '@fleam/contract/numbers'
import { documentOf } from '@fleam/core/fabrication'
import { z } from 'zod'
import { requireDocument, requireState } from '../fabrication/index.ts'
import { fabricationParams, notFound, type Server } from '../http/index.ts'
import { dayOf, type Scopes } from '../scope/index.ts'
import { whatIfs } from '../what-if/index.ts'
import { sheetContent } from './content.ts'

const query = z.object({ 'what-if': id.optional() })

/** The verdict as one page for the office, of the record or of a what-if that was kept. */
export function sheetRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    '/api/kitchens/:kitchenId/fabrications/:id/sheet.pdf',
    {
      schema: {
        operationId: 'readSheet',
        summary: 'The verdict as one page of PDF',
        mediaType: 'application/pdf',
        tags: ['fabrication'],
        params: fabricationParams,
        querystring: query,
      },
    },
    async (request, reply) => {
      const { id: fabricationId } = request.params
      const scope = await scopeOf(request)
      const { kitchen } = scope
      const { record, facts } = await requireState(scope, fabricationId)
      const wanted = request.query['what-if']
      const tried = wanted && (await whatIfs(scope, fabricationId)).find((each) => each.id === wanted)
      if (wanted && !tried) throw notFound('what-if')
      const document = tried
        ? documentOf({ ...record, ...tried.assumptions }, facts)
        : await requireDocument(scope, fabricationId)
      const content = sheetContent(record, document, {
        kitchen: kitchen.name,
        units: kitchen.units,
        decimalMark: kitchen.decimalMark,
        today: dayOf(scope),
        address: `${request.protocol}://${request.headers.host}/verdict/${fabricationId}`,
        whatIf: tried ? tried.name : null,
      })
      // Whoever draws the page is large, and a start must not wait for it.
      const { sheetPdf } = await import('./page.ts')
      return reply
        .header('content-disposition', `inline; filename="verdict-${fabricationId}.pdf"`)
        .type('application/pdf')
        .send(await sheetPdf(content))
    },
  )
}
