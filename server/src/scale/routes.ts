import { PassThrough } from 'node:stream'
import { type ScaleStatus, scaleCommand, scaleStatus, standInLoad } from '@fleam/contract'
import { Refusal } from '../http/problems.ts'
import type { Server } from '../http/schemas.ts'
import type { ScaleGateway } from './gateway.ts'

const tags = ['scale']
/** Proxies and browsers drop silent streams; a comment now and then keeps this one open. */
const HEARTBEAT_MS = 10_000

export function scaleRoutes(app: Server, scale: ScaleGateway): void {
  app.get('/api/scale', { schema: { tags, response: { 200: scaleStatus } } }, () => Promise.resolve(scale.status))

  app.get(
    '/api/scale/stream',
    { schema: { tags, description: 'Server-sent events: each one is a scale status.' } },
    (request, reply) => {
      const stream = new PassThrough()
      const send = (status: ScaleStatus) => stream.write(`data: ${JSON.stringify(status)}\n\n`)
      const unsubscribe = scale.subscribe(send)
      const heartbeat = setInterval(() => stream.write(': here\n\n'), HEARTBEAT_MS)
      request.raw.on('close', () => {
        clearInterval(heartbeat)
        unsubscribe()
        stream.end()
      })
      send(scale.status)
      return reply.header('content-type', 'text/event-stream').header('cache-control', 'no-store').send(stream)
    },
  )

  app.post(
    '/api/scale/commands',
    { schema: { tags, body: scaleCommand, response: { 200: scaleStatus } } },
    (request) => {
      scale.send(request.body.command)
      return Promise.resolve(scale.status)
    },
  )

  app.post(
    '/api/scale/stand-in',
    { schema: { tags, body: standInLoad, response: { 200: scaleStatus } } },
    (request) => {
      if (scale.status.reading && !scale.status.reading.simulated) {
        throw new Refusal('not-a-stand-in', 'Put the thing on the scale itself.')
      }
      scale.send(`put ${request.body.grams}`)
      return Promise.resolve(scale.status)
    },
  )
}
