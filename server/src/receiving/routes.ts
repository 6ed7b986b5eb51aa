import { receivingOperations } from '@fleam/contract/receiving/operations'
import { notFound, refuseOtherId } from '../http/index.ts'
import { inlineFile, savedFile, serve } from '../serve/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

/** Deliveries: lots with their cases, checks and pictures, what is in the cold, and what was made of each. */
export const receivingRoutes = serve(receivingOperations, {
  listLots: ({ scope, query }) => store.lots(scope, query.words.trim()),
  receiveLot: ({ scope, body }) => service.receive(scope, body),
  readLot: ({ scope, params }) => service.trace(scope, params.lotId),
  updateLot: ({ scope, params, body }) => {
    refuseOtherId('id', body.id, params.lotId)
    return service.change(scope, body)
  },
  exportClaim: async ({ scope, params }) => savedFile('claim.csv', await service.claimCsv(scope, params.lotId)),
  printClaim: async ({ scope, params }) => {
    const papers = await service.claimPapers(scope, params.lotId)
    // Whoever draws the page is large, and a start must not wait for it.
    const { claimPdf } = await import('./claim-page.ts')
    return inlineFile(await claimPdf(papers), `claim-${params.lotId}.pdf`)
  },
  createPhoto: ({ scope, params, body }) => service.createPhoto(scope, params.lotId, body),
  readPhoto: async ({ scope, params: { lotId, photoId } }) => {
    const picture = await store.pictureOf(scope, lotId, photoId)
    if (!picture) throw notFound('picture')
    return inlineFile(picture)
  },
})
