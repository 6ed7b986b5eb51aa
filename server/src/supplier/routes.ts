import { supplierOperations } from '@fleam/contract/supplier/operations'
import { serve } from '../serve/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

/** Suppliers with their terms, one row each whatever the capitals of the name. */
export const supplierRoutes = serve(supplierOperations, {
  listSuppliers: ({ scope }) => store.suppliers(scope),
  updateSupplier: ({ scope, body }) => service.updateSupplier(scope, body),
  mergeSuppliers: ({ scope, params, body }) => service.mergeSuppliers(scope, params.supplierId, body.into),
})
