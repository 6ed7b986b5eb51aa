import { operations } from '../operation.ts'
import { supplierCards, supplierCardsQuery } from './schemas.ts'

export const supplierCardOperations = operations('supplier', {
  listSupplierCards: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/supplier-cards',
    summary: 'True cost, yield, deliveries and price path of every supplier, one card each',
    query: supplierCardsQuery,
    answer: supplierCards,
  },
})
