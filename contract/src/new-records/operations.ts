import { fabricationDocument } from '@fleam/core/fabrication'
import { id } from '@fleam/core/values'
import { z } from 'zod'
import { fabricationStart, fabricationState } from '../fabrication/schemas.ts'
import { logbookFile, recordsImported } from '../logbook/schemas.ts'
import { operations, steps } from '../operation.ts'

const decided = id.or(z.literal('none'))
const importQuery = z.strictObject({
  id,
  item: decided.optional(),
  style: decided.optional(),
  supplier: decided.or(z.literal('add')).optional(),
  cook: decided.optional(),
})
const LARGEST_LOGBOOK_BYTES = 32 * 1024 * 1024

export const startOperations = operations('fabrication', {
  startFabrication: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/fabrications',
    summary: 'Starts weighing',
    body: fabricationStart,
    answer: fabricationState,
    status: 201,
    refuses: ['id-taken'],
    actor: 'bench',
  },
})

export const logbookImportOperations = operations('logbook', {
  importLogbook: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/logbook/import',
    summary: 'Takes in the records of a logbook’s file, all or none, and tells step by step how far it is',
    body: logbookFile,
    bodyLimit: LARGEST_LOGBOOK_BYTES,
    answer: steps(recordsImported),
    refuses: ['name-unknown', 'cancelled'],
  },
})

export const importOperations = operations('fabrication', {
  importDocument: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/fabrications/import',
    summary: 'Takes in a document; asks once what unknown names in it mean',
    query: importQuery,
    body: fabricationDocument,
    answer: fabricationState,
    status: 201,
    refuses: ['name-unknown', 'id-taken'],
  },
})
