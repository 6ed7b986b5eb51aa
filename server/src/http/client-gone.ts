import type { FastifyReply } from 'fastify'

/** A signal that says when the client has gone away before it was answered. */
export function clientGone(reply: FastifyReply): AbortSignal {
  const gone = new AbortController()
  reply.raw.once('close', () => {
    if (!reply.raw.writableFinished) gone.abort()
  })
  return gone.signal
}
