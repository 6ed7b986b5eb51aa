import type { SwaggerTransform } from '@fastify/swagger'
import { isApiPath } from '@fleam/contract/api'
import { PROBLEMS, type ProblemCode, problem } from '@fleam/contract/problem'
import { createJsonSchemaTransform } from 'fastify-type-provider-zod'
import { z } from 'zod'

declare module 'fastify' {
  interface FastifySchema {
    /** Refusals of this operation beyond those that follow from what it takes. */
    refuses?: readonly ProblemCode[]
    /** Media type of an answer that is not JSON by a schema. */
    mediaType?: string
  }
}

/** What any operation may answer, whatever it does. */
const ALWAYS: readonly ProblemCode[] = ['internal', 'disk-full', 'database-away', 'busy', 'other-host', 'other-site']
const OF_A_BODY: readonly ProblemCode[] = ['invalid-input', 'not-json', 'too-large', 'wrong-media-type']

interface Operation {
  params?: unknown
  querystring?: unknown
  body?: unknown
  refuses?: readonly ProblemCode[]
  mediaType?: string
  response?: unknown
}

/** Every code with which an operation may refuse, each once. */
export function refusalsOf({ params, querystring, body, refuses = [] }: Operation): ProblemCode[] {
  return [
    ...new Set<ProblemCode>([
      ...(body ? OF_A_BODY : []),
      ...(params ? (['invalid-input', 'not-found'] as const) : []),
      ...(querystring ? (['invalid-input'] as const) : []),
      ...refuses,
      ...ALWAYS,
    ]),
  ]
}

const NO_JSON = z.string()

/** The answers of an operation: its own, and one for each status with which it refuses. */
function answersOf(operation: Operation): Record<string, unknown> {
  const codes = refusalsOf(operation)
  const statuses = [...new Set(codes.map((code) => PROBLEMS[code].status))].sort((a, b) => a - b)
  const refusals = statuses.map((status) => {
    const titles = codes
      .filter((code) => PROBLEMS[code].status === status)
      .map((code) => `\`${code}\`: ${PROBLEMS[code].title}`)
    return [status, { description: titles.join('; '), content: { 'application/problem+json': { schema: problem } } }]
  })
  const { mediaType } = operation
  const success = mediaType
    ? { 200: { description: 'As asked', content: { [mediaType]: { schema: NO_JSON } } } }
    : (operation.response as object)
  return { ...Object.fromEntries(refusals), ...success }
}

/** Describes a route of the API for OpenAPI from the schemas by which it is checked; the pages are no part of it. */
export function describing(description: string): SwaggerTransform {
  const transform = createJsonSchemaTransform({ skipList: [description] })
  return (route) => {
    const { url } = route
    if (!isApiPath(url) || url === description) return { url, schema: { hide: true } }
    const { refuses: _refuses, mediaType: _mediaType, ...schema } = (route.schema ?? {}) as Operation
    return transform({ ...route, schema: { ...schema, response: answersOf(route.schema as Operation) } as never })
  }
}
