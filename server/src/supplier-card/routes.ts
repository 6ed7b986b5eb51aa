import { supplierCardOperations } from '@fleam/contract/supplier-card/operations'
import { serve } from '../serve/index.ts'
import { cards } from './service.ts'

/** What a kitchen knows of its suppliers. */
export const supplierCardRoutes = serve(supplierCardOperations, {
  listSupplierCards: ({ scope, query }) => cards(scope, query),
})
