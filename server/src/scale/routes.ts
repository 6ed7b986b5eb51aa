import { scaleCommand, scaleStatus, standInLoad } from '@fleam/contract/scale-line'
import { requireOpen } from '../fabrication/index.ts'
import { fabricationParams, Refusal, type Server, sendEvents } from '../http/index.ts'
import type { Scopes } from '../scope/index.ts'
import type { ScaleGateway } from './gateway.ts'

const tags = ['scale']

export function scaleRoutes(app: Server, scale: ScaleGateway, scopeOf: Scopes): void {
  app.get(
    '/api/scale',
    { schema: { operationId: 'readScale', summary: 'What the scale shows', tags, response: { 200: scaleStatus } } },
    () => Promise.resolve(scale.status),
  )

  app.get(
    '/api/scale/stream',
    {
      schema: {
        operationId: 'followScale',
        summary: 'Tells what the scale shows, as it changes',
        mediaType: 'text/event-stream',
        tags,
        description: 'Server-sent events: each one is a scale status.',
      },
    },
    (request, reply) =>
      sendEvents(request, reply, (send) => {
        send(scale.status)
        return scale.subscribe(send)
      }),
  )

  app.post(
    '/api/kitchens/:kitchenId/fabrications/:id/scale-commands',
    {
      schema: {
        operationId: 'commandScale',
        summary: 'Sets the scale to zero or tares it, from a bench where weighing goes on',
        refuses: ['scale-away'],
        tags,
        params: fabricationParams,
        body: scaleCommand,
        response: { 200: scaleStatus },
      },
    },
    async (request) => {
      await requireOpen(await scopeOf(request, 'bench'), request.params.id)
      scale.send(request.body.command)
      return scale.status
    },
  )

  app.post(
    '/api/scale/stand-in',
    {
      schema: {
        operationId: 'loadStandIn',
        summary: 'Puts a load on the simulated scale',
        refuses: ['scale-away', 'not-a-stand-in'],
        tags,
        body: standInLoad,
        response: { 200: scaleStatus },
      },
    },
    (request) => {
      if (scale.status.reading && !scale.status.reading.simulated) {
        throw new Refusal('not-a-stand-in', 'Put the thing on the scale itself.')
      }
      scale.send(`put ${request.body.grams}`)
      return Promise.resolve(scale.status)
    },
  )
}
