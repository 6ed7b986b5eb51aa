import { id } from '@fleam/core/values'
import { z } from 'zod'
import { supplier, suppliers } from '../buying/schemas.ts'
import { operations } from '../operation.ts'

export const supplierOperations = operations('suppliers', {
  listSuppliers: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/suppliers',
    summary: 'Suppliers with their terms',
    answer: suppliers,
  },
  updateSupplier: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/suppliers',
    summary: 'Adds a supplier or changes its name and terms',
    body: supplier,
    answer: suppliers,
    refuses: ['id-taken'],
  },
  mergeSuppliers: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/suppliers/:supplierId/merge',
    summary: 'Puts all of one supplier under another',
    body: z.strictObject({ into: id }),
    answer: suppliers,
  },
})
