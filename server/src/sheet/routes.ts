import { sheetOperations } from '@fleam/contract/sheet/operations'
import { documentOf } from '@fleam/core/fabrication'
import { requireDocument, requireState } from '../fabrication/index.ts'
import { notFound } from '../http/index.ts'
import { dayOf } from '../scope/index.ts'
import { inlineFile, serve } from '../serve/index.ts'
import { whatIfs } from '../what-if/index.ts'
import { sheetContent } from './content.ts'

/** The verdict as one page for the office, of the record or of a what-if that was kept. */
export const sheetRoutes = serve(sheetOperations, {
  readSheet: async ({ scope, params: { fabricationId }, query, request }) => {
    const { kitchen } = scope
    const { record, facts } = await requireState(scope, fabricationId)
    const wanted = query['what-if']
    const tried = wanted && (await whatIfs(scope, fabricationId)).find((whatIf) => whatIf.id === wanted)
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
    return inlineFile(await sheetPdf(content), `verdict-${fabricationId}.pdf`)
  },
})
