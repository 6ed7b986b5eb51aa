import { id } from '@fleam/contract/numbers'
import { UNREADABLE_KINDS, unreadableRows } from '@fleam/contract/unreadable'
import { z } from 'zod'
import { kitchenParams, type Server } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import * as service from './service.ts'

const tags = ['unreadable']
const BASE = '/api/kitchens/:kitchenId/unreadable'
const rowParams = kitchenParams.extend({ kind: z.enum(UNREADABLE_KINDS), id })

/** What is stored and cannot be read: told, so that it can be struck. */
export function unreadableRoutes(app: Server, scopeOf: Scopes): void {
  app.get(
    BASE,
    {
      schema: {
        operationId: 'listUnreadable',
        summary: 'What the lists of this kitchen leave out because it cannot be read',
        tags,
        params: kitchenParams,
        response: { 200: unreadableRows },
      },
    },
    async (request) => service.unreadable(await scopeOf(request)),
  )

  app.delete(
    `${BASE}/:kind/:id`,
    {
      schema: {
        operationId: 'strikeUnreadable',
        summary: 'Strikes something that cannot be read',
        tags,
        params: rowParams,
        response: { 200: unreadableRows },
      },
    },
    async (request) => {
      const scope = await scopeOf(request)
      await service.strike(scope, request.params)
      return service.unreadable(scope)
    },
  )
}
