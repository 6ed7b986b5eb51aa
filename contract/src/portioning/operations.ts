import { bondedPlan, bondedRequest, portionPlan, portionRequest, rackPlan, rackRequest } from '@fleam/core/portioning'
import { operations } from '../operation.ts'

export const portioningOperations = operations('portioning', {
  planPortions: {
    method: 'POST',
    path: '/api/portion-plan',
    summary: 'Where to cut one piece',
    body: portionRequest,
    answer: portionPlan,
    refuses: ['cancelled'],
  },
  planBonded: {
    method: 'POST',
    path: '/api/bonded-plan',
    summary: 'Where to cut two pieces that are bonded to one',
    body: bondedRequest,
    answer: bondedPlan,
    refuses: ['cancelled'],
  },
  planRacks: {
    method: 'POST',
    path: '/api/rack-plan',
    summary: 'How to share ribs among plates',
    body: rackRequest,
    answer: rackPlan,
    refuses: ['cancelled'],
  },
})
