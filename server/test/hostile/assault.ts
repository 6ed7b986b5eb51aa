import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Problem } from '@fleam/contract/problem'
import fc from 'fast-check'
import { v7 as newId } from 'uuid'
import { type Asked, fillKitchen } from '../fill-kitchen.ts'
import { setUpKitchen, type TestApp } from '../harness.ts'
import { fromSchema, type JsonSchema, type SchemaContext, spoilt } from './from-schema.ts'

interface Operation {
  method: Asked['method']
  path: string
  body: JsonSchema | null
  query: { name: string; schema: JsonSchema }[]
}

/** What was asked and answered wrongly, in words. */
export interface Fault {
  what: 'server error' | 'refusal without a field' | 'unreadable after a write'
  asked: Asked
  answer: string
}

export interface Assault {
  requests: number
  accepted: number
  refused: number
  reads: number
  faults: Fault[]
}

export interface AssaultOptions {
  requests: number
  seed: number
  onProgress?: (done: number, of: number) => void
}

/** Refusals for which no field is at fault. */
const WITHOUT_A_FIELD = new Set([
  'not-json',
  'not-found',
  'wrong-media-type',
  'too-large',
  'feed-away',
  'scale-away',
  'stale-version',
  'cancelled',
  'not-a-stand-in',
  'name-unknown',
])
/** Everything is read again after so many accepted writes. */
const READ_AFTER = 40
/** After so many requests it goes on in a new kitchen: what is read again is as much as a kitchen holds, not all that was ever sent. */
const A_KITCHEN = 2_500
const ID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g

function operationsOf(test: TestApp): { operations: Operation[]; schemas: SchemaContext['schemas'] } {
  const { paths = {}, components } = test.app.swagger() as {
    paths?: Record<
      string,
      Record<
        string,
        {
          requestBody?: { content: Record<string, { schema: JsonSchema }> }
          parameters?: { in: string; name: string; schema: JsonSchema }[]
        }
      >
    >
    components?: { schemas?: Record<string, JsonSchema> }
  }
  const operations = Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, { requestBody, parameters = [] }]) => ({
      method: method.toUpperCase() as Asked['method'],
      path,
      body: Object.values(requestBody?.content ?? {})[0]?.schema ?? null,
      query: parameters.filter((parameter) => parameter.in === 'query'),
    })),
  )
  // A stream has no end, and the solvers have their own tests.
  return { operations: operations.filter(({ path }) => !path.endsWith('/stream')), schemas: components?.schemas ?? {} }
}

const idsIn = (value: unknown): string[] => JSON.stringify(value ?? null).match(ID) ?? []

/**
 * Sends a kitchen what its operations allow and what lies just beyond: made from their schemas, and beside requests
 * that were accepted. After accepted writes everything is read again. The same seed asks the same.
 */
export async function assault(test: TestApp, { requests, seed, onProgress }: AssaultOptions): Promise<Assault> {
  await test.app.ready()
  const result: Assault = { requests: 0, accepted: 0, refused: 0, reads: 0, faults: [] }
  for (let kitchen = seed; result.requests < requests; kitchen++) {
    await assaultKitchen(test, Math.min(A_KITCHEN, requests - result.requests), kitchen, result)
    onProgress?.(result.requests, requests)
  }
  return result
}

async function assaultKitchen(test: TestApp, requests: number, seed: number, result: Assault): Promise<void> {
  const home = await setUpKitchen(test, `Hostile ${seed}`)
  const asked = (await fillKitchen(test, home)).filter(({ method }) => method !== 'GET')
  const { operations, schemas } = operationsOf(test)
  const ids = [...new Set(asked.flatMap(({ url, payload }) => [...idsIn(url), ...idsIn(payload)]))].slice(0, 300)
  const context = { schemas, ids }
  const made = fc.sample(fc.oneof(madeOf(operations, home, context), besideAccepted(asked)), {
    numRuns: requests,
    seed,
  })
  let unread = 0
  for (const asked of made) {
    const fault = await tried(test, asked, result)
    if (fault) result.faults.push(fault)
    else if (asked.method !== 'GET' && ++unread % READ_AFTER === 0)
      result.faults.push(...(await readAgain(test, home, operations, ids, asked, result)))
  }
}

/** Requests made from the schemas of the operations. */
function madeOf(operations: readonly Operation[], home: Kitchen, context: SchemaContext): fc.Arbitrary<Asked> {
  const id = fc.oneof(
    { weight: 10, arbitrary: fc.constantFrom(...context.ids) },
    fc.constantFrom('x', '%00', 'constructor', newId()),
  )
  return fc.constantFrom(...operations).chain(({ method, path, body, query }) =>
    fc
      .record({
        ids: fc.array(id, { minLength: 4, maxLength: 4 }),
        payload: body ? fromSchema(body, context) : fc.constant(undefined),
        query: fc.record(Object.fromEntries(query.map(({ name, schema }) => [name, fromSchema(schema, context)]))),
      })
      .map(({ ids, payload, query: said }) => {
        let at = 0
        const filled = path.replace('{kitchenId}', home.id).replace(/\{[^}]+\}/g, () => ids[at++] as string)
        const words = Object.entries(said).map(([name, value]) => `${name}=${encodeURIComponent(safe(value))}`)
        return { method, url: words.length > 0 ? `${filled}?${words.join('&')}` : filled, payload }
      }),
  )
}

/** An address cannot hold half a character. */
const safe = (value: unknown) => String(value).replace(/\p{Surrogate}/gu, '')

/** Requests that were accepted, with one value that is nasty, under new ids or under the same. */
const besideAccepted = (asked: readonly Asked[]): fc.Arbitrary<Asked> =>
  fc.constantFrom(...asked).chain(({ method, url, payload }) =>
    fc.tuple(spoilt(payload), fc.boolean()).map(([body, isNew]) => {
      const own = (body as { id?: unknown } | null | undefined)?.id
      const renewed =
        isNew && typeof own === 'string' && method === 'POST' ? { ...(body as object), id: newId() } : body
      return { method, url, payload: renewed }
    }),
  )

async function tried(test: TestApp, asked: Asked, result: Assault): Promise<Fault | null> {
  const { method, url, payload } = asked
  result.requests++
  const answer = await test.app.inject({
    method,
    url,
    ...(payload === undefined
      ? {}
      : { payload: JSON.stringify(payload), headers: { 'content-type': 'application/json' } }),
  })
  const { statusCode, body } = answer
  if (statusCode < 400) {
    result.accepted++
    return null
  }
  result.refused++
  const problem = JSON.parse(body) as Problem
  if (statusCode >= 500 && !WITHOUT_A_FIELD.has(problem.code)) return { what: 'server error', asked, answer: body }
  const hasField = problem.issues.length > 0 && problem.issues.every(({ message }) => message !== '')
  return hasField || WITHOUT_A_FIELD.has(problem.code) ? null : { what: 'refusal without a field', asked, answer: body }
}

/** Reads every list, and what has one id with every id that is known; whatever was accepted before. */
async function readAgain(
  test: TestApp,
  home: Kitchen,
  operations: readonly Operation[],
  ids: readonly string[],
  asked: Asked,
  result: Assault,
): Promise<Fault[]> {
  const faults: Fault[] = []
  const reads = operations.filter(
    ({ method, path }) =>
      method === 'GET' && path.startsWith('/api/kitchens/{kitchenId}') && path.split('{').length === 2,
  )
  const rows = (await test.app.inject({ url: `/api/kitchens/${home.id}/fabrications` })).json() as { id: string }[]
  const records = Array.isArray(rows)
    ? rows
        .slice(0, 3)
        .flatMap(({ id }) => ['', '/document.json', '/appraisal'].map((rest) => `/fabrications/${id}${rest}`))
    : []
  const product = ids.at(0)
  const urls = [...reads.map(({ path }) => path.replace('/api/kitchens/{kitchenId}', '')), ...records]
  for (const rest of urls) {
    result.reads++
    const url = `/api/kitchens/${home.id}${rest}${rest === '/forms' ? `?product=${product}` : ''}`
    const { statusCode, body } = await test.app.inject({ url })
    if (statusCode >= 500)
      faults.push({ what: 'unreadable after a write', asked, answer: `GET ${rest}: ${body.slice(0, 600)}` })
  }
  return faults
}

/** What was found, each kind once, for a person to read. */
export function wordsOf({ faults, ...counts }: Assault): string {
  const kinds = new Map<string, Fault>()
  for (const fault of faults) {
    const path = (fault.asked.url.split('?')[0] as string).replace(ID, '{id}')
    const key = `${fault.what}: ${fault.asked.method} ${path} ${fault.answer.replace(ID, '{id}').slice(0, 160)}`
    if (!kinds.has(key)) kinds.set(key, fault)
  }
  const lines = [...kinds].map(([key, { asked }]) => `${key}\n    ${JSON.stringify(asked.payload)?.slice(0, 600)}`)
  return [JSON.stringify({ ...counts, faults: faults.length }), ...lines].join('\n')
}
