import { styleOperations } from '@fleam/contract/style/operations'
import { refuseOtherId } from '../http/index.ts'
import { savedJson, serve } from '../serve/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

export const styleRoutes = serve(styleOperations, {
  listItems: ({ scope }) => store.items(scope),
  createItem: ({ scope, body }) => service.createItem(scope, body),
  topUpFromCatalogue: ({ scope }) => service.topUpFromCatalogue(scope),
  updateItem: ({ scope, params, body }) => service.updateItem(scope, params.itemId, body),
  createStyle: ({ scope, params, body }) => service.createStyle(scope, params.itemId, body),
  updateStyle: ({ scope, params, body }) => {
    refuseOtherId('id', body.id, params.styleId)
    return service.updateStyle(scope, body)
  },
  exportStyle: async ({ scope, params }) =>
    savedJson(`style-${params.styleId}.json`, await service.exportStyle(scope, params.styleId)),
  importStyle: ({ scope, query, body }) => service.importStyle(scope, query.id, body),
})
