import { type FileAnswer, type Operation, type ParamsOf, paramsOf } from '@fleam/contract/operation'
import type { FastifyReply, FastifyRequest, FastifySchema } from 'fastify'
import { z } from 'zod'
import type { Server } from '../http/index.ts'
import type { Scope, Scopes } from '../scope/index.ts'
import { AnsweredFile, SavedJson } from './file.ts'

type Parsed<Schema> = Schema extends z.ZodType ? z.output<Schema> : undefined

/** What a handler gets: everything that came in is checked already. */
interface Served<O extends Operation> {
  /** Of the kitchen that the path names; null where it names none. */
  scope: 'kitchenId' extends keyof ParamsOf<O> ? Scope : null
  params: ParamsOf<O>
  query: Parsed<O['query']>
  body: Parsed<O['body']>
  request: FastifyRequest
  reply: FastifyReply
}

/** A JSON answer by its schema; a file, or the reply that a stream was sent by. */
type Answer<O extends Operation> = O['answer'] extends z.ZodType
  ? z.input<O['answer']> | SavedJson<z.input<O['answer']>>
  : AnsweredFile | FastifyReply

type Handler<O extends Operation> = (served: Served<O>) => Answer<O> | Promise<Answer<O>>

/**
 * The routes of a table of operations: a handler for each, and none besides. The answer says what type it is of, and a
 * file what a browser does with it.
 */
export const serve =
  <Table extends Readonly<Record<string, Operation>>>(
    table: Table,
    handlers: { readonly [Id in keyof Table]: Handler<Table[Id]> },
  ) =>
  (app: Server, scopeOf: Scopes): void => {
    for (const [id, operation] of Object.entries(table)) {
      addRoute(app, scopeOf, operation, handlers[id] as unknown as AnyHandler)
    }
  }

/** A handler of any operation: its own type was checked where it was given. */
type AnyHandler = (served: Record<string, unknown>) => Promise<unknown>

function addRoute(app: Server, scopeOf: Scopes, operation: Operation, handle: AnyHandler): void {
  const { answer, status = 200 } = operation
  const params = paramsOf(operation)
  const isOfKitchen = params !== undefined && 'kitchenId' in params.shape
  app.route({
    method: operation.method,
    url: operation.path,
    ...(operation.bodyLimit === undefined ? {} : { bodyLimit: operation.bodyLimit }),
    schema: schemaOf(operation),
    handler: async (request, reply) => {
      const scope = isOfKitchen ? await scopeOf(request as Parameters<Scopes>[0], operation.actor) : null
      const { params, query, body } = request
      const answered = await handle({ scope, params, query, body, request, reply })
      if (reply.statusCode === 200) reply.status(status)
      if (answered instanceof AnsweredFile) return sendFile(reply, answer as FileAnswer, answered)
      if (answered instanceof SavedJson) {
        reply.header('content-disposition', `attachment; filename="${answered.name}"`)
        return answered.value
      }
      // Fastify sends no body for `null`, which is JSON all the same.
      return answered === null ? reply.type('application/json; charset=utf-8').send('null' as never) : answered
    },
  })
}

/** What Fastify checks what comes in by, and what the description of the API is made from. */
function schemaOf(operation: Operation): FastifySchema {
  const { id, capability, summary, description, query, body, refuses, answer, status = 200, failsWith } = operation
  const params = paramsOf(operation)
  return {
    operationId: id,
    summary,
    tags: [capability],
    ...(description && { description }),
    ...(params && { params }),
    ...(query && { querystring: query }),
    ...(body && { body }),
    ...(refuses && { refuses }),
    ...(answer instanceof z.ZodType
      ? { response: { [status]: answer, ...(failsWith && { [failsWith]: answer }) } }
      : { mediaType: answer.mediaType }),
  }
}

function sendFile(reply: FastifyReply, { mediaType }: FileAnswer, { content, disposition }: AnsweredFile) {
  if (disposition !== null) reply.header('content-disposition', disposition)
  return reply.type(mediaType.startsWith('text/') ? `${mediaType}; charset=utf-8` : mediaType).send(content)
}
