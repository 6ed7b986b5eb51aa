import { PassThrough } from 'node:stream'
import type { FastifyReply, FastifyRequest } from 'fastify'

/** Bytes that may lie unread: whoever reads no further is let go, comes again by itself and fetches the whole. */
const MAX_UNREAD = 256 * 1024
/** Proxies and browsers drop silent streams; a comment now and then keeps one open. */
const HEARTBEAT_MS = 10_000

/** Answers with server-sent events: `start` gets what sends one and returns what ends its sending. */
export function sendEvents(
  request: FastifyRequest,
  reply: FastifyReply,
  start: (send: (data: unknown) => void) => () => void,
): FastifyReply {
  const stream = new PassThrough()
  const stop = start((data) => {
    if (stream.readableLength + stream.writableLength + reply.raw.writableLength > MAX_UNREAD) reply.raw.destroy()
    else stream.write(`data: ${JSON.stringify(data)}\n\n`)
  })
  const heartbeat = setInterval(() => stream.write(': here\n\n'), HEARTBEAT_MS)
  stream.write(': here\n\n')
  request.raw.on('close', () => {
    clearInterval(heartbeat)
    stop()
    stream.end()
  })
  return reply.header('content-type', 'text/event-stream').header('cache-control', 'no-store').send(stream)
}
