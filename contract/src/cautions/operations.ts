import { z } from 'zod'
import { operations } from '../operation.ts'
import { cautionOverride, cautionOverrides, cautionScopeQuery } from '../style.ts'

const cautionId = z.string().max(60)

export const cautionOperations = operations('cautions', {
  listCautions: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/cautions',
    summary: 'Cautions that the kitchen’s own plan changes',
    answer: cautionOverrides,
  },
  updateCaution: {
    method: 'PUT',
    path: '/api/kitchens/:kitchenId/cautions/:cautionId',
    params: { cautionId },
    summary: 'Puts the kitchen’s own words in place of a caution, with a reason',
    body: cautionOverride,
    answer: cautionOverrides,
  },
  deleteCautionOverride: {
    method: 'DELETE',
    path: '/api/kitchens/:kitchenId/cautions/:cautionId',
    params: { cautionId },
    summary: 'Puts a caution back as it was',
    query: cautionScopeQuery,
    answer: cautionOverrides,
  },
})
