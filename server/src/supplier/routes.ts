import { supplier, suppliers } from '@fleam/contract/buying'
import { id } from '@fleam/contract/numbers'
import { z } from 'zod'
import { fabricationParams, kitchenParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['suppliers']

/** Suppliers with their terms, one row each whatever the capitals of the name. */
export function supplierRoutes(app: Server, scopeOf: Scopes): void {
  const base = '/api/kitchens/:kitchenId/suppliers'

  app.get(
    base,
    {
      schema: {
        operationId: 'listSuppliers',
        summary: 'Suppliers with their terms',
        tags,
        params: kitchenParams,
        response: { 200: suppliers },
      },
    },
    async (request) => store.suppliers(await scopeOf(request)),
  )

  app.put(
    base,
    {
      schema: {
        operationId: 'updateSupplier',
        summary: 'Adds a supplier or changes its name and terms',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        body: supplier,
        response: { 200: suppliers },
      },
    },
    async (request) => service.updateSupplier(await scopeOf(request), request.body),
  )

  app.post(
    `${base}/:id/merge`,
    {
      schema: {
        operationId: 'mergeSuppliers',
        summary: 'Puts all of one supplier under another',
        tags,
        params: fabricationParams,
        body: z.strictObject({ into: id }),
        response: { 200: suppliers },
      },
    },
    async (request) => service.mergeSuppliers(await scopeOf(request), request.params.id, request.body.into),
  )
}
