import { operations } from '../operation.ts'
import { container, containers } from '../style.ts'

export const containerOperations = operations('containers', {
  listContainers: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/containers',
    summary: 'Containers whose weight is remembered',
    answer: containers,
  },
  createContainer: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/containers',
    summary: 'Remembers the weight of a container',
    body: container,
    answer: containers,
    status: 201,
    refuses: ['id-taken'],
  },
  deleteContainer: {
    method: 'DELETE',
    path: '/api/kitchens/:kitchenId/containers/:containerId',
    summary: 'Forgets a container',
    answer: containers,
  },
})
