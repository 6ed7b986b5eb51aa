import { events, operations } from '../operation.ts'
import { scaleCommand, scaleStatus, standInLoad } from './scale-line.ts'

export const scaleOperations = operations('scale', {
  readScale: {
    method: 'GET',
    path: '/api/scale',
    summary: 'What the scale shows',
    answer: scaleStatus,
  },
  followScale: {
    method: 'GET',
    path: '/api/scale/stream',
    summary: 'Tells what the scale shows, as it changes',
    description: 'Server-sent events: each one is a scale status.',
    answer: events(scaleStatus),
  },
  commandScale: {
    method: 'POST',
    path: '/api/kitchens/:kitchenId/fabrications/:fabricationId/scale-commands',
    summary: 'Sets the scale to zero or tares it, from a bench where weighing goes on',
    body: scaleCommand,
    answer: scaleStatus,
    refuses: ['scale-away'],
    actor: 'bench',
  },
  loadStandIn: {
    method: 'POST',
    path: '/api/scale/stand-in',
    summary: 'Puts a load on the simulated scale',
    body: standInLoad,
    answer: scaleStatus,
    refuses: ['scale-away', 'not-a-stand-in'],
  },
})
