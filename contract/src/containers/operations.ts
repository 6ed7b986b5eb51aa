import { id, name, positiveGrams } from '@fleam/core/values'
import { z } from 'zod'
import { operations } from '../operation.ts'

/** A container whose weight the kitchen remembers, so that it is taken off by itself. */
export const container = z.strictObject({ id, name, grams: positiveGrams }).meta({ id: 'Container' })
const containers = z.array(container)
export type Container = z.infer<typeof container>

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
