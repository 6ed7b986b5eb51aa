import { id, supplier, suppliers } from '@fleam/contract'
import { z } from 'zod'
import { fabricationParams, kitchenParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

const tags = ['suppliers']

/** Suppliers with their terms, one row each whatever the capitals of the name. */
export function supplierRoutes(app: Server, scopeOf: Scopes): void {
  const base = '/api/kitchens/:kitchenId/suppliers'

  app.get(base, { schema: { tags, params: kitchenParams, response: { 200: suppliers } } }, async (request) =>
    store.suppliers(await scopeOf(request)),
  )

  app.put(
    base,
    { schema: { tags, params: kitchenParams, body: supplier, response: { 200: suppliers } } },
    async (request) => service.putSupplier(await scopeOf(request), request.body),
  )

  app.post(
    `${base}/:id/merge`,
    { schema: { tags, params: fabricationParams, body: z.strictObject({ into: id }), response: { 200: suppliers } } },
    async (request) => service.mergeSuppliers(await scopeOf(request), request.params.id, request.body.into),
  )
}
