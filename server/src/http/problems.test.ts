import { PROBLEMS } from '@fleam/contract/problem'
import Fastify from 'fastify'
import { z } from 'zod'
import { loggedError } from './logged-error.ts'
import { answerWithProblems, invalidInput, notFound, Refusal } from './problems.ts'
import { withSchemas } from './schemas.ts'

/** What a route that throws this answers. */
async function answerTo(error: unknown) {
  const app = Fastify()
  answerWithProblems(app)
  app.get('/', () => {
    throw error
  })
  const response = await app.inject({ url: '/' })
  await app.close()
  return { status: response.statusCode, headers: response.headers, body: response.json() }
}

test('every code answers with its own status, in the problem form', async () => {
  for (const [code, { status, title }] of Object.entries(PROBLEMS)) {
    const answer = await answerTo(new Refusal(code as keyof typeof PROBLEMS, 'because'))
    expect(answer.status).toBe(status)
    expect(answer.headers['content-type']).toContain('application/problem+json')
    expect(answer.body).toEqual({
      type: `/problems/${code}`,
      title,
      status,
      code,
      detail: 'because',
      issues: [],
      kept: 'Nothing was changed.',
    })
  }
})

test('a mistake of our own tells nothing of its inside', async () => {
  const { status, body } = await answerTo(new Error('SELECT secret FROM table'))
  expect([status, body.code]).toEqual([500, 'internal'])
  expect(JSON.stringify(body)).not.toContain('secret')
})

for (const error of [
  Object.assign(new Error('x'), { name: 'SequelizeConnectionRefusedError' }),
  Object.assign(new Error('x'), { name: 'SequelizeConnectionAcquireTimeoutError' }),
  Object.assign(new Error('x'), { parent: { code: 'PROTOCOL_CONNECTION_LOST' } }),
  Object.assign(new Error('x'), { code: 'ECONNRESET', fatal: true }),
  new Error('ConnectionManager.getConnection was called after the connection manager was closed!'),
]) {
  test(`a lost database is 503 to be tried again: ${error.name} ${error.message.slice(0, 20)}`, async () => {
    const { status, headers, body } = await answerTo(error)
    expect([status, body.code, headers['retry-after']]).toEqual([503, 'database-away', '1'])
    expect(body.kept).toContain('safe')
  })
}

test('what the database refuses is not taken for its absence', async () => {
  const { status } = await answerTo(Object.assign(new Error('x'), { parent: { code: 'ER_BAD_FIELD_ERROR' } }))
  expect(status).toBe(500)
})

test('a failed parse names the first field and counts the others', () => {
  const result = z.strictObject({ a: z.number(), b: z.number() }).safeParse({ a: 'x', c: 1 })
  const refusal = invalidInput(result.error as z.ZodError)
  expect(refusal.message).toMatch(/^a .* \(and 2 more\)$/)
  expect(refusal.options.issues?.map((issue) => issue.path)).toEqual(['a', 'b', 'c'])
})

test('what is not here is said in the words of the kitchen', () => {
  expect(notFound('style').message).toBe('This kitchen has no such style.')
})

describe('what is sent', () => {
  const bodyOf = async (payload: unknown) => {
    const app = Fastify()
    answerWithProblems(app)
    const server = withSchemas(app, () => {}, true)
    server.post('/', { schema: { body: z.looseObject({}) } }, () => ({ ok: true }))
    const response = await app.inject({
      method: 'POST',
      url: '/',
      payload: JSON.stringify(payload),
      headers: JSON_BODY,
    })
    await app.close()
    return [response.statusCode, response.json().issues?.[0]?.path]
  }
  const JSON_BODY = { 'content-type': 'application/json' }

  test('with half a character is refused with its place, and whole ones are not', async () => {
    expect(await bodyOf({ piles: [{ name: 'whole 🐔' }, { name: 'half \ud83d' }] })).toEqual([400, 'piles[1].name'])
    expect(await bodyOf({ tried: { '\udc14': 1 } })).toEqual([400, 'tried'])
    expect(await bodyOf({ name: '🐔 \u{1f414}' })).toEqual([200, undefined])
  })

  test('with thousands of faults is answered with twenty of them', () => {
    const many = Object.fromEntries(Array.from({ length: 50_000 }, (_, index) => [`field ${index}`, 1]))
    const { error } = z.strictObject({}).safeParse(many)
    const { options, message } = invalidInput(error as z.ZodError)
    expect(options.issues).toHaveLength(20)
    expect(message).toContain('19 more')
  })
})

test('an error in the log says what it is, and nothing of what somebody sent', () => {
  const error = Object.assign(new Error('The table is full'), { code: 'ER_RECORD_FILE_FULL', sql: 'x'.repeat(1e6) })
  const logged = loggedError(error)
  expect(logged).toMatchObject({ type: 'Error', code: 'ER_RECORD_FILE_FULL', message: 'The table is full' })
  expect(JSON.stringify(logged).length).toBeLessThan(5_000)
})
