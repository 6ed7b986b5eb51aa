import { Semaphore } from 'async-mutex'
import type { FastifyInstance, FastifyRequest } from 'fastify'

declare module 'fastify' {
  interface FastifyContextConfig {
    /** Answered in the background: it takes nothing of the server's own time, and no turn. */
    isForwarded?: boolean
  }
}

/**
 * Lets so many requests of a part of the server be worked on at once; the others wait their turn. The server has one
 * thread: eight long lists at once take no less time than two, and a weighing between them waits for two, not for eight.
 * A turn begins when a request has arrived whole and ends when its answer is made, so that nobody who drips or reads
 * slowly holds one.
 */
export function takeTurns(app: FastifyInstance, most: number): void {
  const turns = new Semaphore(most)
  const ends = new WeakMap<FastifyRequest, () => void>()
  app.addHook('preHandler', async (request, reply) => {
    if (request.routeOptions.config.isForwarded) return
    const [, end] = await turns.acquire()
    ends.set(request, end)
    // Whoever has gone away while waiting ends the turn that it gets.
    if (reply.raw.destroyed) end()
    else reply.raw.once('close', end)
  })
  app.addHook('onSend', async (request) => {
    ends.get(request)?.()
  })
}
