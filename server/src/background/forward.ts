import type { FastifyInstance, FastifyReply, FastifyRequest, RouteOptions } from 'fastify'
import type { Background } from './background.ts'
import { IN_BACKGROUND } from './operations.ts'

/** What a thread has to know of a request's headers. */
const HANDED_ON = ['accept-encoding', 'content-type'] as const
/** What belongs to a connection, and not to the answer. */
const OF_THE_CONNECTION = new Set(['connection', 'date', 'keep-alive', 'transfer-encoding'])

/** Makes a part of the server answer its long operations in the background. */
export function forwardToBackground(app: FastifyInstance, background: Background): void {
  app.addHook('onRoute', (route: RouteOptions) => {
    const { operationId } = (route.schema ?? {}) as { operationId?: string }
    if (operationId === undefined || !IN_BACKGROUND.has(operationId)) return
    Object.assign(route, { config: { ...route.config, isForwarded: true } })
    route.handler = (request, reply) => forward(background, request, reply)
    // It is checked where it is answered; here it goes on as it came.
    route.validatorCompiler = () => (data: unknown) => ({ value: data })
  })
}

/** Keeps the bodies of a part of the server as they come, for whoever takes them apart in the background. */
export function keepBodiesWhole(app: FastifyInstance): void {
  app.removeContentTypeParser('application/json')
  app.addContentTypeParser('application/json', { parseAs: 'buffer' }, (_request, bytes, done) => done(null, bytes))
}

async function forward(background: Background, request: FastifyRequest, reply: FastifyReply) {
  const gone = new AbortController()
  reply.raw.once('close', () => gone.abort())
  const { kitchenId = '' } = request.params as { kitchenId?: string }
  const headers = Object.fromEntries(
    HANDED_ON.flatMap((name) => {
      const value = request.headers[name]
      return typeof value === 'string' ? [[name, value]] : []
    }),
  )
  const body = request.body instanceof Uint8Array ? request.body : null
  const handed = { method: request.method, url: request.raw.url ?? '', headers, body }
  const answer = await background.answer(kitchenId, handed, gone.signal)
  for (const [name, value] of Object.entries(answer.headers)) {
    if (!OF_THE_CONNECTION.has(name)) reply.header(name, value)
  }
  return reply.status(answer.status).send(answer.body)
}
