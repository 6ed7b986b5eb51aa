import { type LogbookView, logbookView, logbookViews } from '@fleam/contract/logbook-findings'
import { createOnce, fabricationParams, kitchenParams, type Server } from '../../http/index.ts'
import type { Scope, Scopes } from '../../scope/index.ts'
import * as store from './store.ts'

const tags = ['logbook']

/** Views of the logbook that a kitchen keeps under a name. */
export function logbookViewRoutes(app: Server, scopeOf: Scopes): void {
  const base = '/api/kitchens/:kitchenId/logbook/views'
  app.get(
    base,
    {
      schema: {
        operationId: 'listLogbookViews',
        summary: 'Views of the logbook that are kept under a name',
        tags,
        params: kitchenParams,
        response: { 200: logbookViews },
      },
    },
    async (request) => store.views(await scopeOf(request)),
  )

  app.post(
    base,
    {
      schema: {
        operationId: 'createLogbookView',
        summary: 'Keeps a view of the logbook; one of a name that is there takes its place',
        refuses: ['id-taken'],
        tags,
        params: kitchenParams,
        body: logbookView,
        response: { 201: logbookViews },
      },
    },
    async (request, reply) => reply.status(201).send(await createView(await scopeOf(request), request.body)),
  )

  app.delete(
    `${base}/:id`,
    {
      schema: {
        operationId: 'deleteLogbookView',
        summary: 'Forgets a view of the logbook',
        tags,
        params: fabricationParams,
        response: { 200: logbookViews },
      },
    },
    async (request) => store.deleteView(await scopeOf(request), request.params.id),
  )
}

async function createView(scope: Scope, view: LogbookView): Promise<LogbookView[]> {
  const named = await createOnce({
    read: async () => (await store.views(scope)).find((each) => each.name === view.name) ?? null,
    create: () => store.insertView(scope, view),
    isSame: () => true,
    taken: { path: 'id', detail: 'This id stands for another view.' },
  })
  if (named.search !== view.search) await store.updateView(scope, view)
  return store.views(scope)
}
