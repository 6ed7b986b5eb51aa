import { unreadableOperations } from '@fleam/contract/unreadable/operations'
import { serve } from '../serve/index.ts'
import * as service from './service.ts'

/** What is stored and cannot be read: told, so that it can be struck. */
export const unreadableRoutes = serve(unreadableOperations, {
  listUnreadable: ({ scope }) => service.unreadable(scope),
  strikeUnreadable: async ({ scope, params }) => {
    await service.strike(scope, { kind: params.kind, id: params.rowId })
    return service.unreadable(scope)
  },
})
