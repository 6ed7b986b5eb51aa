import { importOperations, logbookImportOperations, startOperations } from '@fleam/contract/new-records/operations'
import { tellSteps } from '../http/index.ts'
import { serve } from '../serve/index.ts'
import { importDocument } from './import.ts'
import { importMany } from './import-many.ts'
import { createPriceOf, start } from './start.ts'

/** Records that begin at a bench. */
export const startRoutes = serve(startOperations, {
  startFabrication: ({ scope, body, request }) =>
    // The price book may be held by a long import: no bench waits for it.
    start(scope, body, (record) => {
      createPriceOf(scope, record).catch((error: unknown) => request.log.error(error))
    }),
})

/** Many records that are taken in from one file, told step by step. */
export const logbookImportRoutes = serve(logbookImportOperations, {
  importLogbook: ({ scope, body, reply }) => tellSteps(reply, (steps) => importMany(scope, body.records, steps)),
})

/** Records that are taken in from a document. */
export const importRoutes = serve(importOperations, {
  importDocument: ({ scope, query: { id, ...decisions }, body }) => importDocument(scope, id, body, decisions),
})
