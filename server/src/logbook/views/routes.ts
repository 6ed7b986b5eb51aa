import type { LogbookView } from '@fleam/contract/logbook/findings'
import { logbookViewOperations } from '@fleam/contract/logbook/operations'
import { createOnce } from '../../http/index.ts'
import type { Scope } from '../../scope/index.ts'
import { serve } from '../../serve/index.ts'
import * as store from './store.ts'

async function createView(scope: Scope, view: LogbookView): Promise<LogbookView[]> {
  const named = await createOnce({
    read: async () => (await store.views(scope)).find((other) => other.name === view.name) ?? null,
    create: () => store.insertView(scope, view),
    isSame: () => true,
    taken: { path: 'id', detail: 'This id stands for another view.' },
  })
  if (named.search !== view.search) await store.updateView(scope, view)
  return store.views(scope)
}

/** Views of the logbook that a kitchen keeps under a name. */
export const logbookViewRoutes = serve(logbookViewOperations, {
  listLogbookViews: ({ scope }) => store.views(scope),
  createLogbookView: ({ scope, body }) => createView(scope, body),
  deleteLogbookView: ({ scope, params }) => store.deleteView(scope, params.viewId),
})
