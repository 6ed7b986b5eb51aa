import { containerOperations } from '@fleam/contract/containers/operations'
import { serve } from '../serve/index.ts'
import * as service from './service.ts'
import * as store from './store.ts'

/** Containers whose weight a kitchen remembers by name. */
export const containerRoutes = serve(containerOperations, {
  listContainers: ({ scope }) => store.containers(scope),
  createContainer: ({ scope, body }) => service.createContainer(scope, body),
  deleteContainer: ({ scope, params }) => service.deleteContainer(scope, params.containerId),
})
