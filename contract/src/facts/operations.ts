import { measuredCut } from '@fleam/core/facts'
import { z } from 'zod'
import { events, operations } from '../operation.ts'
import { fabricationNews, factsKept, factsSent } from './schemas.ts'

export const factOperations = operations('facts', {
  createFacts: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/facts',
    summary: 'Keeps what was done at a bench: weighings, moves, takings back, clocks, measured cuts',
    description:
      'Each of the list is kept, known already or refused by itself. Where none of it is kept, the refusal is the answer.',
    body: factsSent,
    answer: factsKept,
    refuses: ['id-taken', 'pile-unknown'],
    actor: 'bench',
  },
  followFabrication: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/stream',
    summary: 'Tells what any device does at this bench, as it happens',
    description:
      'Server-sent events: what any device did at this bench since, as facts with ids, and the version of the record. `null` says that some may have been missed: fetch the fabrication again.',
    answer: events(fabricationNews),
    actor: 'bench',
  },
  listMeasuredCuts: {
    method: 'GET',
    path: '/api/kitchens/:kitchenId/measured-cuts',
    summary: 'The latest measured cuts, from which lines learn',
    answer: z.array(measuredCut),
    actor: 'bench',
  },
})
