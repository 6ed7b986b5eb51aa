import { answerWith, problemOf } from '../../test/server.ts'
import { wordsOf } from '../parts/states.tsx'
import { ApiProblem, getJson, isOffline, Offline, postJson } from './api.ts'

const caught = (promise: Promise<unknown>) =>
  promise.then(
    () => null,
    (error: unknown) => error,
  )

test('an answer comes back as it is', async () => {
  const asked = answerWith({ 'GET /api/x': { body: { a: 1 } } })
  expect(await getJson('/api/x')).toEqual({ a: 1 })
  expect(asked).toEqual([{ method: 'GET', path: '/api/x', body: undefined }])
})

test('a refusal keeps its code, fields and what was kept', async () => {
  answerWith({ 'POST /api/x': problemOf('invalid-input', 400, [{ path: 'purchase.purge', message: 'is too much' }]) })
  const error = await caught(postJson('/api/x', {}))
  expect(error).toBeInstanceOf(ApiProblem)
  expect(isOffline(error)).toBe(false)
  expect(wordsOf(error)).toEqual({ title: 'A refusal', lines: ['purchase.purge is too much', 'Nothing was changed.'] })
})

test('a cut network and a database that is away are the same to a cook', async () => {
  answerWith({ 'GET /api/away': problemOf('database-away', 503) })
  for (const error of [await caught(getJson('/api/cut')), await caught(getJson('/api/away'))]) {
    expect(isOffline(error)).toBe(true)
    expect(wordsOf(error).lines[0]).toContain('kept on this device')
  }
})

test('a scale that is away is a refusal, not a cut', async () => {
  answerWith({ 'POST /api/scale': problemOf('scale-away', 503) })
  expect(isOffline(await caught(postJson('/api/scale', {})))).toBe(false)
})

test('a proxy’s own words count as away, other pages as a mistake', async () => {
  const reply = (status: number) => {
    globalThis.fetch = (async () => ({
      ok: false,
      status,
      headers: new Headers({ 'content-type': 'text/html' }),
    })) as unknown as typeof fetch
  }
  reply(502)
  expect(await caught(getJson('/'))).toBeInstanceOf(Offline)
  reply(404)
  expect(isOffline(await caught(getJson('/')))).toBe(false)
})

test('anything else says that Fleam made a mistake', () => {
  expect(wordsOf(new Error('x')).title).toBe('Fleam made a mistake')
  expect(wordsOf('x').lines).toEqual(['Load the page again.'])
})
