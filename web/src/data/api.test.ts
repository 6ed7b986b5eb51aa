import { scaleOperations } from '@fleam/contract/scale/operations'
import { answerWith, problemOf } from '../../test/server.ts'
import { wordsOf } from '../parts/states.tsx'
import { ApiProblem, call, isOffline, Offline } from './api.ts'

const { readScale, loadStandIn } = scaleOperations
const load = { body: { grams: 640 } }

const caught = (promise: Promise<unknown>) =>
  promise.then(
    () => null,
    (error: unknown) => error,
  )

test('an answer comes back as it is', async () => {
  const status = { connected: false, address: null, reading: null }
  const asked = answerWith({ 'POST /api/scale/stand-in': { body: status } })
  expect(await call(loadStandIn, load)).toEqual(status)
  expect(asked).toEqual([{ method: 'POST', path: '/api/scale/stand-in', body: { grams: 640 } }])
})

test('a refusal keeps its code, fields and what was kept', async () => {
  answerWith({
    'POST /api/scale/stand-in': problemOf('invalid-input', 400, [{ path: 'purchase.purge', message: 'is too much' }]),
  })
  const error = await caught(call(loadStandIn, load))
  expect(error).toBeInstanceOf(ApiProblem)
  expect(isOffline(error)).toBe(false)
  expect(wordsOf(error)).toEqual({ title: 'A refusal', lines: ['purchase.purge is too much', 'Nothing was changed.'] })
})

test('a cut network and a database that is away are the same to a cook', async () => {
  answerWith({ 'GET /api/scale': problemOf('database-away', 503) })
  for (const error of [await caught(call(loadStandIn, load)), await caught(call(readScale, {}))]) {
    expect(isOffline(error)).toBe(true)
    expect(wordsOf(error).lines[0]).toContain('kept on this device')
  }
})

test('a scale that is away is a refusal, not a cut', async () => {
  answerWith({ 'POST /api/scale/stand-in': problemOf('scale-away', 503) })
  expect(isOffline(await caught(call(loadStandIn, load)))).toBe(false)
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
  expect(await caught(call(readScale, {}))).toBeInstanceOf(Offline)
  reply(404)
  expect(isOffline(await caught(call(readScale, {})))).toBe(false)
})

test('anything else says that Fleam made a mistake', () => {
  expect(wordsOf(new Error('x')).title).toBe('Fleam made a mistake')
  expect(wordsOf('x').lines).toEqual(['Load the page again.'])
})
