import { scaleCommand, scaleStatus, standInLoad } from '@fleam/contract'
import { Refusal, type Server, sendEvents } from '../http/index.ts'
import type { ScaleGateway } from './gateway.ts'

const tags = ['scale']

export function scaleRoutes(app: Server, scale: ScaleGateway): void {
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
    '/api/scale/commands',
    {
      schema: {
        operationId: 'commandScale',
        summary: 'Sets the scale to zero or tares it',
        refuses: ['scale-away'],
        tags,
        body: scaleCommand,
        response: { 200: scaleStatus },
      },
    },
    (request) => {
      scale.send(request.body.command)
      return Promise.resolve(scale.status)
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
