import { supplierCards, supplierCardsQuery } from '@fleam/contract/supplier-card'
import { kitchenParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import { cards } from './service.ts'

/** What a kitchen knows of its suppliers. */
export function supplierCardRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    '/api/kitchens/:kitchenId/supplier-cards',
    {
      schema: {
        operationId: 'listSupplierCards',
        summary: 'True cost, yield, deliveries and price path of every supplier, one card each',
        tags: ['supplier'],
        params: kitchenParams,
        querystring: supplierCardsQuery,
        response: { 200: supplierCards },
      },
    },
    async (request) => cards(await scopeOf(request), request.query),
  )
}
