import { id } from '@fleam/core/values'
import { z } from 'zod'
import { file, operations } from '../operation.ts'
import { lot, lotEdit, lotPhoto, lotRows, lotTrace } from './schemas.ts'

const LARGEST_PHOTO_BYTES = 1_200_000
const query = z.object({ words: z.string().max(200).default('') })
const kept = z.array(z.object({ id, takenAt: z.string() }))

export const receivingOperations = operations('receiving', {
  listLots: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/lots',
    summary: 'Deliveries, and what is left of each',
    query,
    answer: lotRows,
  },
  receiveLot: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/lots',
    summary: 'Takes in a delivery',
    body: lotEdit,
    answer: lot,
    status: 201,
    refuses: ['id-taken'],
  },
  readLot: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/lots/:lotId',
    summary: 'A lot, and what was made of it',
    answer: lotTrace,
  },
  updateLot: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/lots/:lotId',
    summary: 'Changes a lot, at the version that was read',
    body: lotEdit,
    answer: lot,
    refuses: ['stale-version', 'id-taken'],
  },
  exportClaim: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/lots/:lotId/claim.csv',
    summary: 'What a supplier owes for a lot, as CSV',
    answer: file('text/csv'),
  },
  printClaim: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/lots/:lotId/claim.pdf',
    summary: 'What a supplier owes for a lot, as a letter in PDF',
    answer: file('application/pdf'),
  },
  createPhoto: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/lots/:lotId/photos',
    summary: 'Keeps a picture of a lot',
    body: lotPhoto,
    bodyLimit: LARGEST_PHOTO_BYTES,
    answer: kept,
    status: 201,
    refuses: ['id-taken'],
  },
  readPhoto: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/lots/:lotId/photos/:photoId',
    summary: 'A picture of a lot',
    answer: file('image/jpeg'),
  },
})
