import { resolve } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Item } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { sixChickens } from '../../../core/test/documents.ts'
import { builtProgram } from '../../../tools/build-server.ts'
import { openTestApp, sendFacts, setUpKitchen, startSixChickens, type TestApp, weighing } from '../../test/harness.ts'
import { buildApp } from '../app.ts'
import { ScaleGateway } from '../scale/index.ts'
import { Background } from './index.ts'

let test_: TestApp
let kitchen: Kitchen
/** The server whose long operations are answered by threads. */
let app: TestApp['app']
let url: string

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
  const background = new Background({
    program: resolve(builtProgram('background-thread')),
    databaseUrl: test_.url,
    disk: null,
  })
  app = await buildApp({ database: test_.database, scale: new ScaleGateway(null), background })
  url = await app.listen({ port: 0, host: '127.0.0.1' })
  await fetch(`${url}/api/kitchens/${kitchen.id}/items`)
}, 120_000)
afterAll(async () => {
  await app.close()
  await test_.close()
})

const path = (rest: string) => `/api/kitchens/${kitchen.id}${rest}`

test('answers what the server itself would have answered, refusals and files too', async () => {
  await startSixChickens(test_, kitchen)
  const asked = [
    '/items',
    '/fabrications?limit=2',
    '/fabrications?limit=0',
    '/logbook/doubts',
    '/logbook/curve',
    '/logbook/summary?group=item',
    '/logbook/records.json',
    '/unreadable',
  ]
  for (const rest of asked) {
    const own = await test_.app.inject({ url: path(rest) })
    const handed = await fetch(url + path(rest))
    expect([rest, handed.status, handed.headers.get('content-type')]).toEqual([
      rest,
      own.statusCode,
      own.headers['content-type'],
    ])
    // Labour that is being clocked goes on between the two.
    if (!rest.startsWith('/fabrications')) expect(await handed.text()).toBe(own.body)
  }
  const pdf = await fetch(`${url}${path('/logbook/period.pdf?from=2026-01-01&to=2026-12-01')}`)
  expect([pdf.status, pdf.headers.get('content-type')]).toEqual([200, 'application/pdf'])
  expect(
    Buffer.from(await pdf.arrayBuffer())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-')
  expect((await fetch(`${url}/api/kitchens/nobody/items`)).status).toBe(400)
  expect((await fetch(`${url}/api/kitchens/${newId()}/items`)).status).toBe(404)
}, 60_000)

test('takes records in and tells line by line, and breaks off when nobody waits', async () => {
  const [item] = (await (await fetch(url + path('/items'))).json()) as [Item]
  const { meta: _meta, ...document } = sixChickens({ item: item.name, style: item.styles[0]?.name as string })
  const records = Array.from({ length: 500 }, () => ({ id: newId(), document }))
  const send = (signal: AbortSignal | null = null) =>
    fetch(url + path('/logbook/import'), {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ format: 'fleam/logbook', version: 1, records }),
      signal,
    })
  const gone = new AbortController()
  const broken = await send(gone.signal)
  await broken.body?.getReader().read()
  gone.abort()
  const lines = (await (await send()).text())
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line))
  // Nothing of what was broken off was kept.
  expect(lines.at(-1)).toEqual({ result: { kept: 500, known: 0, alike: expect.any(Number) } })
  expect(lines.filter(({ progress }) => progress).length).toBeGreaterThan(5)
}, 120_000)

test('whoever leaves before the answer is there, or in the middle of it, takes nobody along', async () => {
  for (let round = 0; round < 12; round++) {
    const gone = new AbortController()
    const asking = ['/items', '/logbook/doubts', '/fabrications', '/logbook/records.json'].map((rest) =>
      fetch(url + path(rest), { signal: gone.signal }).then(
        (answer) => (round % 2 === 0 ? answer.body?.getReader().read() : null),
        () => null,
      ),
    )
    await sleep(round * 6)
    gone.abort()
    await Promise.allSettled(asking)
  }
  expect((await fetch(`${url}${path('/items')}`)).status).toBe(200)
}, 60_000)

test('who leaves while it waits makes room for others at once', async () => {
  const gone = new AbortController()
  const asking = Array.from({ length: 38 }, () =>
    fetch(`${url}${path('/logbook/doubts')}`, { signal: gone.signal }).catch(() => null),
  )
  await sleep(60)
  gone.abort()
  await Promise.all(asking)
  const next = Array.from({ length: 20 }, () => fetch(`${url}${path('/unreadable')}`))
  expect(new Set((await Promise.all(next)).map(({ status }) => status))).toEqual(new Set([200]))
}, 60_000)

test('a kitchen that asks for far too much at once is told so, and weighs all the while', async () => {
  const state = await startSixChickens(test_, kitchen)
  const asking = Array.from({ length: 90 }, () => fetch(`${url}${path('/logbook/doubts')}`))
  const { status } = await sendFacts(
    test_,
    kitchen,
    weighing(state.record.id, state.record.piles[0]?.id as string, 281),
  )
  expect(status).toBe(200)
  const answers = await Promise.all(asking)
  const statuses = new Set(answers.map((answer) => answer.status))
  expect([...statuses].sort()).toEqual([200, 503])
  const refused = answers.find((answer) => answer.status === 503)
  expect(await refused?.json()).toMatchObject({ code: 'busy' })
  expect((await fetch(`${url}${path('/logbook/doubts')}`)).status).toBe(200)
}, 60_000)
