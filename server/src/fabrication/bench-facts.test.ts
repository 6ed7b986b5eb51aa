import { editOf, type FabricationNews, type FabricationState, type Kitchen } from '@fleam/contract'
import { v7 as newId } from 'uuid'
import { until } from '../../../tools/processes.ts'
import { openTestApp, send, setUpKitchen, startSixChickens, type TestApp, weighing } from '../../test/harness.ts'
import { FabricationFeed } from './feed.ts'

const soon = { timeoutMs: 5_000, everyMs: 20 }
let test_: TestApp
let kitchen: Kitchen
let state: FabricationState
const path = (suffix = '') => `/api/kitchens/${kitchen.id}/fabrications/${state.record.id}${suffix}`
const pile = (at: number) => state.record.piles[at]?.id as string
const current = async (): Promise<FabricationState> => (await send(test_, 'GET', path())).body
const post = (body: object) => send(test_, 'POST', path('/readings'), body)
const at = (minute: number) => `2026-11-24T08:${String(minute).padStart(2, '0')}:00.000Z`

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
})
beforeEach(async () => {
  state = await startSixChickens(test_, kitchen)
})
afterAll(() => test_.close())

describe('moves', () => {
  test('put a weighing onto another pile, once, and the reading itself is never changed', async () => {
    const reading = weighing(pile(0), 1700)
    await post({ readings: [reading] })
    const move = { id: newId(), readingId: reading.id, pileId: pile(2), takenAt: at(20) }
    await post({ moves: [move] })
    expect((await post({ moves: [move, move] })).status).toBe(200)
    const after = await current()
    expect(after.moves).toEqual([move])
    expect(after.readings[0]).toMatchObject({ pileId: pile(0), grams: 1700 })
    const { body } = await send(test_, 'GET', path('/document.json'))
    expect([body.piles[0].pieces, body.piles[2].weight]).toEqual([[], 1700])
  })

  test('travel with their reading in one list', async () => {
    const reading = weighing(pile(0), 281)
    const moves = [{ id: newId(), readingId: reading.id, pileId: pile(1), takenAt: at(20) }]
    expect((await post({ readings: [reading], moves })).body.kept).toEqual([reading.id, moves[0]?.id])
  })

  test('refuse a pile or a reading that is not of this fabrication', async () => {
    const reading = weighing(pile(0), 281)
    await post({ readings: [reading] })
    const astray = await post({ moves: [{ id: newId(), readingId: reading.id, pileId: newId(), takenAt: at(20) }] })
    expect([astray.status, astray.body.issues[0].path]).toEqual([422, 'moves[0].pileId'])
    const unknown = await post({ moves: [{ id: newId(), readingId: newId(), pileId: pile(1), takenAt: at(20) }] })
    expect(unknown.status).toBe(404)
  })
})

describe('marks', () => {
  const clock = (kind: string, minute: number) => ({
    id: newId(),
    kind,
    cook: 'Marit',
    ratePerHour: kind === 'labour-start' ? 27.5 : null,
    takenAt: at(minute),
  })

  test('a cook’s clock takes the place of the style’s minutes while it is open', async () => {
    await post({ marks: [clock('labour-start', 0), clock('labour-pause', 18)] })
    const { body } = await send(test_, 'GET', path('/document.json'))
    expect(body.labour).toEqual([{ task: 'break down, Marit', minutes: 18, ratePerHour: 27.5 }])
    expect((await current()).record.labour).toEqual([{ task: 'break down', minutes: 54, ratePerHour: 21.4 }])
  })

  test('are stored once, and refused where they say nothing known', async () => {
    const mark = { id: newId(), kind: 'step-done', step: 'legs', takenAt: at(3) }
    await post({ marks: [mark] })
    await post({ marks: [mark] })
    expect((await current()).marks).toEqual([{ ...mark, cook: null, ratePerHour: null }])
    const bad = await post({ marks: [{ ...mark, id: newId(), kind: 'dance' }] })
    expect([bad.status, bad.body.issues[0].path]).toEqual([400, 'marks[0].kind'])
    const other = await post({ marks: [{ ...mark, kind: 'cold-in' }] })
    expect([other.status, other.body.code]).toEqual([409, 'id-taken'])
  })
})

test('causes of loss are kept with the record', async () => {
  const causes = [{ pile: 'supremes', cause: 'meat-on-bones' as const }]
  const { body } = await send(test_, 'PUT', path(), editOf(state.record, { causes }))
  expect(body.record.causes).toEqual(causes)
  const bad = await send(test_, 'PUT', path(), {
    ...editOf(state.record),
    version: 2,
    causes: [{ pile: 'supremes', cause: 'the moon' }],
  })
  expect(bad.body.issues[0].path).toBe('causes[0].cause')
})

describe('the feed', () => {
  const heard: (FabricationNews | null)[] = []
  const readings = () => heard.flatMap((news) => news?.readings.map((each) => each.grams) ?? [])
  beforeEach(() => {
    heard.length = 0
  })

  test('of another server hears what this one stored, within a second and once', async () => {
    const elsewhere = new FabricationFeed(test_.database)
    const stop = elsewhere.follow(kitchen.id, state.record.id, (news) => heard.push(news))
    await post({ readings: [weighing(pile(0), 281)] })
    await until(() => readings().length > 0, { timeoutMs: 1_500, everyMs: 20 })
    await new Promise((resolve) => setTimeout(resolve, 900))
    expect(readings()).toEqual([281])
    stop()
    elsewhere.close()
  })

  test('tells of an edited record by its version, and nothing of other benches', async () => {
    const elsewhere = new FabricationFeed(test_.database)
    elsewhere.follow(kitchen.id, state.record.id, (news) => heard.push(news))
    const other = await startSixChickens(test_, kitchen)
    await send(test_, 'POST', `/api/kitchens/${kitchen.id}/fabrications/${other.record.id}/readings`, {
      readings: [weighing(other.record.piles[0]?.id as string, 999)],
    })
    await until(() => heard.some((news) => news?.version === 1), soon)
    expect(readings()).toEqual([])
    elsewhere.close()
  })

  test('streams to every device as events, and only to the kitchen that it belongs to', async () => {
    await test_.app.listen({ port: 0, host: '127.0.0.1' })
    const { port } = test_.app.server.address() as { port: number }
    const url = `http://127.0.0.1:${port}`
    const other = await setUpKitchen(test_, 'Other')
    const strange = await fetch(`${url}/api/kitchens/${other.id}/fabrications/${state.record.id}/stream`)
    expect(strange.status).toBe(404)
    const aborter = new AbortController()
    const response = await fetch(url + path('/stream'), { signal: aborter.signal })
    expect(response.headers.get('content-type')).toBe('text/event-stream')
    const reader = (response.body as ReadableStream<Uint8Array>).getReader()
    const sent = performance.now()
    await post({ readings: [weighing(pile(0), 281)], marks: [{ id: newId(), kind: 'cold-in', takenAt: at(9) }] })
    let text = ''
    while (!text.includes('cold-in')) text += new TextDecoder().decode((await reader.read()).value)
    expect(performance.now() - sent).toBeLessThan(1_000)
    expect(text).toContain('"grams":281')
    aborter.abort()
  })
})
