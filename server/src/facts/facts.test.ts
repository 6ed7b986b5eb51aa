import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { FabricationNews, FactRefused } from '@fleam/contract/facts/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { type Mark, type Reading, standingReadings } from '@fleam/core/facts'
import { wholeMilligrams } from '@fleam/core/units'
import fc from 'fast-check'
import { v7 as newId } from 'uuid'
import { until } from '../../../tools/processes.ts'
import {
  openTestApp,
  send,
  sendFacts,
  setUpKitchen,
  startSixChickens,
  type TestApp,
  weighing,
} from '../../test/harness.ts'
import { FactFeed } from './feed.ts'

const soon = { timeoutMs: 5_000, everyMs: 20 }
let test_: TestApp
let kitchen: Kitchen
let state: FabricationState
const path = (suffix = '') => `/api/kitchens/${kitchen.id}/fabrications/${state.record.id}${suffix}`
const pile = (at: number) => state.record.piles[at]?.id as string
const current = async (): Promise<FabricationState> => (await send(test_, 'GET', path())).body
const post = (...facts: unknown[]) => sendFacts(test_, kitchen, ...facts)
const at = (minute: number) => `2026-11-24T08:${String(minute).padStart(2, '0')}:00.000Z`
const weigh = (pileAt: number, grams: number, order = 1) => weighing(state.record.id, pile(pileAt), grams, order)
const made = (order: number) => ({ id: newId(), order, takenAt: at(20), fabricationId: state.record.id })
const void_ = (factId: string, order = 9) => ({ kind: 'void' as const, ...made(order), factId })
const move = (readingId: string, pileId: string, order = 8) => ({
  kind: 'move' as const,
  ...made(order),
  readingId,
  pileId,
})

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
})
beforeEach(async () => {
  state = await startSixChickens(test_, kitchen)
})
afterAll(() => test_.close())

describe('readings', () => {
  test('are stored once however often they are sent', async () => {
    const readings = [weigh(0, 281), weigh(0, 276.5, 2), weigh(1, 820, 3)]
    expect((await post(...readings)).body.kept).toEqual(readings.map((reading) => reading.id))
    const more = weigh(2, 1700, 4)
    expect((await post(...readings, more, more)).status).toBe(200)
    expect((await current()).facts).toEqual([...readings, more])
  })

  test('of one id and two contents in one list are the first of them, and the other is refused', async () => {
    const [other, reading] = [weigh(0, 276), weigh(0, 281, 2)]
    const { status, body } = await post(other, reading, { ...reading, grams: 282 })
    expect([status, body.kept]).toEqual([200, [other.id, reading.id]])
    expect(body.refused).toMatchObject([{ at: 2, code: 'id-taken', issues: [{ path: 'facts[2].id' }] }])
    expect((await current()).facts).toEqual([other, reading])
  })

  test('are answered one by one: kept, known, or refused each with its reason', async () => {
    const known = weigh(0, 281)
    const taken = weigh(0, 282, 2)
    await post(known, taken)
    const [first, last] = [weigh(1, 800, 3), weigh(2, 900, 9)]
    const { status, body } = await post(
      known,
      first,
      { ...taken, grams: 283 },
      { ...weigh(0, 1), grams: -1 },
      'a weighing',
      weighing(state.record.id, newId(), 5),
      weighing(newId(), pile(0), 5),
      void_(newId()),
      move(newId(), pile(1)),
      last,
      void_(last.id, 10),
    )
    expect(status).toBe(200)
    const told = body.refused.map((refusal: FactRefused) => [refusal.at, refusal.code, refusal.issues[0]?.path])
    expect(told).toEqual([
      [2, 'id-taken', 'facts[2].id'],
      [3, 'invalid-input', 'facts[3].grams'],
      [4, 'invalid-input', 'facts[4]'],
      [5, 'pile-unknown', 'facts[5].pileId'],
      [6, 'not-found', 'facts[6].fabricationId'],
      [7, 'not-found', 'facts[7].factId'],
      [8, 'not-found', 'facts[8].readingId'],
    ])
    expect(body.kept).toHaveLength(4)
    expect((await current()).facts.map((fact) => fact.id)).toEqual([
      known.id,
      taken.id,
      first.id,
      last.id,
      body.kept[3],
    ])
  })

  test('any list, cut and sent again anyhow, leaves each good fact once and tells each bad one', async () => {
    const kinds = fc.array(fc.constantFrom('good', 'twice', 'other', 'astray', 'nowhere', 'void', 'no fact'), {
      minLength: 1,
      maxLength: 14,
    })
    await fc.assert(
      fc.asyncProperty(kinds, fc.integer({ min: 1, max: 5 }), async (wanted, size) => {
        state = await startSixChickens(test_, kitchen)
        const good = wanted.map((_, place) => weigh(place % 3, 100 + place, place + 1))
        const list: [string, object][] = wanted.flatMap((kind, place): [string, object][] => {
          const reading = good[place] as Reading
          const alone: Record<string, [string, object][]> = {
            twice: [
              ['good', reading],
              ['good', reading],
            ],
            other: [
              ['good', reading],
              ['bad', { ...reading, grams: 1 }],
            ],
            astray: [['bad', { ...reading, pileId: newId() }]],
            nowhere: [['bad', void_(newId(), place + 1)]],
            void: [
              ['good', reading],
              ['good', void_(reading.id, place + 20)],
            ],
            'no fact': [['bad', { ...reading, grams: 'much' }]],
          }
          return alone[kind] ?? [['good', reading]]
        })
        for (let round = 0; round < 2; round++) {
          for (let from = 0; from < list.length; from += size) {
            const part = list.slice(from, from + size)
            const { status, body } = await post(...part.map(([, each]) => each))
            const bad = part.flatMap(([is], place) => (is === 'bad' ? [place] : []))
            if (bad.length === part.length) expect(status).toBeGreaterThanOrEqual(400)
            else expect([status, body.refused.map((refusal: FactRefused) => refusal.at)]).toEqual([200, bad])
          }
        }
        const ids = list.flatMap(([is, each]) => (is === 'good' ? [(each as Reading).id] : []))
        expect((await current()).facts.map((fact) => fact.id).sort()).toEqual([...new Set(ids)].sort())
      }),
      { seed: 3, numRuns: 15 },
    )
  })

  test('with an id in capitals are the same weighing', async () => {
    const reading = weigh(0, 281)
    await post(reading)
    const loud = { ...reading, id: reading.id.toUpperCase(), fabricationId: reading.fabricationId.toUpperCase() }
    expect([(await post(loud)).status, (await post(loud)).body.kept]).toEqual([200, [reading.id]])
    expect((await current()).facts).toEqual([reading])
  })

  test('of many devices at once are all there, and a bad one fails alone', async () => {
    const good = Array.from({ length: 60 }, (_, place) => weigh(place % 3, 100 + place, place + 1))
    const bad = weighing(state.record.id, newId(), 5)
    const answers = await Promise.all([...good, bad].map((entry) => post(entry)))
    expect(answers.filter((answer) => answer.status === 200)).toHaveLength(60)
    expect(answers.at(-1)?.body).toMatchObject({ code: 'pile-unknown', issues: [{ path: 'facts[0].pileId' }] })
    expect((await current()).facts).toHaveLength(60)
  })

  test('are voided by another row and never changed', async () => {
    const reading = weigh(0, 999)
    await post(reading)
    const withdrawal = void_(reading.id)
    await post(withdrawal)
    await post(withdrawal)
    expect((await current()).facts).toEqual([reading, withdrawal])
    const { body } = await send(test_, 'GET', path('/document.json'))
    expect(body.piles[0].pieces).toEqual([])
  })

  test('an id that stands for another weighing is refused', async () => {
    const reading = weigh(0, 281)
    await post(reading)
    const other = await post({ ...reading, grams: 300 })
    expect([other.status, other.body.code]).toEqual([409, 'id-taken'])
  })

  test('sent again without a cook’s name, as an older page does, it is the same weighing', async () => {
    const [cookId, other] = [await addCook(), await addCook()]
    const reading = { ...weigh(0, 281), cookId }
    await post(reading)
    const again = await post({ ...reading, cookId: null, order: 1_000_000, takenAt: '2026-11-24T09:00:00.000Z' })
    expect([again.status, again.body]).toEqual([200, { kept: [reading.id], refused: [] }])
    expect((await current()).facts).toEqual([reading])
    expect((await post({ ...reading, cookId: other })).body.code).toBe('id-taken')
    const nameless = weigh(0, 282)
    await post(nameless)
    expect((await post({ ...nameless, cookId })).body.code).toBe('id-taken')
  })

  test('by somebody who is no cook here is refused by its field; others of the list are kept', async () => {
    const [own, strange] = [
      { ...weigh(0, 281), cookId: await addCook() },
      { ...weigh(0, 282), cookId: newId() },
    ]
    const { status, body } = await post(own, strange)
    expect([status, body.kept]).toEqual([200, [own.id]])
    expect(body.refused).toMatchObject([{ at: 1, code: 'not-found', issues: [{ path: 'facts[1].cookId' }] }])
    // One that was kept before there was such a look is known, and not refused.
    await test_.database.sequelize.query('UPDATE facts SET cook_id = :cook WHERE id = :id', {
      replacements: { cook: strange.cookId, id: own.id },
    })
    expect((await post({ ...own, cookId: strange.cookId })).body).toEqual({ kept: [own.id], refused: [] })
  })

  test('a withdrawal of something that was never weighed is refused', async () => {
    expect((await post(void_(newId()))).status).toBe(404)
  })

  test('any gross and tare, sent three times in any order, is there once and never refused', async () => {
    const step = fc.constantFrom(0.1, 0.005 * 453.59237, 0.05 * 28.349523125)
    const net = fc
      .tuple(step, fc.integer({ min: 1, max: 60_000 }), fc.integer({ min: 0, max: 20_000 }))
      .map(([by, over, tare]) => (over + tare) * by - tare * by)
      .filter((grams) => wholeMilligrams(grams) > 0)
    await fc.assert(
      fc.asyncProperty(fc.array(net, { minLength: 1, maxLength: 6 }), fc.integer(), async (nets, seed) => {
        state = await startSixChickens(test_, kitchen)
        // As the device has them: one rounds where it makes them, another, older one did not.
        const readings = nets.map((grams, place) =>
          weigh(0, place % 2 === 0 ? grams : wholeMilligrams(grams), place + 1),
        )
        const thrice = [...readings, ...readings, ...readings].sort(
          (a, b) => ((a.order * 7 + seed) % 5) - ((b.order * 3 + seed) % 5),
        )
        for (const reading of thrice) expect((await post(reading)).status).toBe(200)
        expect((await current()).facts.map((fact) => (fact as Reading).grams)).toEqual(nets.map(wholeMilligrams))
      }),
      { seed: 8, numRuns: 25 },
    )
  })

  for (const [what, changes, field] of [
    ['negative', { grams: -1 }, 'facts[0].grams'],
    ['missing', { grams: undefined }, 'facts[0].grams'],
    ['enormous', { grams: 1e12 }, 'facts[0].grams'],
    ['text', { grams: '281' }, 'facts[0].grams'],
    ['not a number', { grams: null }, 'facts[0].grams'],
    ['unknown field', { colour: 'red' }, 'facts[0].colour'],
    ['bad id', { id: '7' }, 'facts[0].id'],
    ['bad time', { takenAt: 'yesterday' }, 'facts[0].takenAt'],
    ['no place in the order', { order: 0 }, 'facts[0].order'],
  ] as const) {
    test(`refuses a reading: ${what}`, async () => {
      const { status, body, headers } = await post({ ...weigh(0, 281), ...changes })
      expect(status).toBe(400)
      expect(headers['content-type']).toContain('application/problem+json')
      expect(body).toMatchObject({ code: 'invalid-input', kept: 'Nothing was changed.' })
      expect(body.issues[0].path).toBe(field)
      expect((await current()).facts).toHaveLength(0)
    })
  }
})

test('how many pieces a weighing is of is kept with it or after it, and what was taken back can be taken back', async () => {
  const total = { ...weigh(0, 1600), pieces: 6 }
  const said = { kind: 'count' as const, ...made(9), readingId: total.id, pieces: 5 }
  const undo = { kind: 'void' as const, ...made(10), factId: said.id }
  const redo = { kind: 'void' as const, ...made(11), factId: undo.id }
  for (const facts of [[total, said], [undo], [redo], [total, said, undo, redo]])
    expect((await post(...facts)).body.refused).toEqual([])
  const { facts } = await current()
  expect(facts).toEqual([total, said, undo, redo])
  expect(standingReadings(facts).map((standingReading) => standingReading.pieces)).toEqual([5])
  const none = await post({ ...said, id: newId(), pieces: 0 })
  expect([none.status, none.body.issues[0].path]).toEqual([400, 'facts[0].pieces'])
})

describe('moves', () => {
  test('put a weighing onto another pile, once, and the reading itself is never changed', async () => {
    const reading = weigh(0, 1700)
    await post(reading)
    const moved = move(reading.id, pile(2))
    await post(moved)
    expect((await post(moved, moved)).status).toBe(200)
    expect((await current()).facts).toEqual([reading, moved])
    const { body } = await send(test_, 'GET', path('/document.json'))
    expect([body.piles[0].pieces, body.piles[2].weight]).toEqual([[], 1700])
  })

  test('travel with their reading in one list', async () => {
    const reading = weigh(0, 281)
    const moved = move(reading.id, pile(1))
    expect((await post(reading, moved)).body.kept).toEqual([reading.id, moved.id])
  })

  test('hold in the order of the work, though a device’s clock is hours off', async () => {
    const reading = { ...weigh(0, 281), takenAt: '2026-11-24T11:00:00.000Z' }
    const first = { ...move(reading.id, pile(1), 2), takenAt: '2026-11-24T11:01:00.000Z' }
    const second = { ...move(reading.id, pile(2), 3), takenAt: '2026-11-24T08:02:00.000Z' }
    await post(reading, first)
    await post(second)
    const { body } = await send(test_, 'GET', path('/document.json'))
    expect([body.piles[1].weight, body.piles[2].weight]).toEqual([0, 281])
  })

  test('refuse a pile or a reading that is not of this fabrication', async () => {
    const reading = weigh(0, 281)
    await post(reading)
    const astray = await post(move(reading.id, newId()))
    expect([astray.status, astray.body.issues[0].path]).toEqual([422, 'facts[0].pileId'])
    expect((await post(move(newId(), pile(1)))).status).toBe(404)
  })
})

async function addCook(): Promise<string> {
  const id = newId()
  await send(test_, 'POST', `/api/kitchens/${kitchen.id}/cooks`, { id, name: `Cook ${id}`, wagePerHour: 20 })
  return id
}

describe('marks', () => {
  let marit: string
  const clock = (kind: Mark['mark'], minute: number): Mark => ({
    kind: 'mark',
    ...made(minute + 1),
    mark: kind,
    cookId: marit,
    ratePerHour: kind === 'labour-start' ? 27.5 : null,
    step: null,
    load: null,
    units: null,
    takenAt: at(minute),
  })
  beforeAll(async () => {
    marit = newId()
    await send(test_, 'POST', `/api/kitchens/${kitchen.id}/cooks`, { id: marit, name: 'Marit', wagePerHour: 27.5 })
  })

  test('with a wage of more decimals than are kept are the same when they are sent again', async () => {
    const odd = { ...clock('labour-start', 0), ratePerHour: 100 / 7 }
    expect([(await post(odd)).status, (await post(odd)).status]).toEqual([200, 200])
    expect((await current()).facts).toHaveLength(1)
  })

  test('a cook’s clock takes the place of the style’s minutes while it is open', async () => {
    await post(clock('labour-start', 0), clock('labour-pause', 58))
    const { body } = await send(test_, 'GET', path('/document.json'))
    expect(body.labour).toEqual([{ task: 'break down, Marit', minutes: 58, ratePerHour: 27.5 }])
    expect((await current()).record.labour).toEqual([{ task: 'break down', minutes: 54, ratePerHour: 21.4 }])
  })

  test('are stored once, and refused where they say nothing known', async () => {
    const mark = { kind: 'mark', ...made(1), mark: 'step-done', step: 'legs' }
    await post(mark)
    await post(mark)
    expect((await current()).facts).toEqual([{ ...mark, cookId: null, ratePerHour: null, load: null, units: null }])
    const bad = await post({ ...mark, id: newId(), mark: 'dance' })
    expect([bad.status, bad.body.issues[0].path]).toEqual([400, 'facts[0].mark'])
    const other = await post({ ...mark, mark: 'cold-in' })
    expect([other.status, other.body.code]).toEqual([409, 'id-taken'])
  })
})

test('another kitchen weighs nothing here', async () => {
  const stranger = await setUpKitchen(test_, 'Stranger')
  expect((await sendFacts(test_, stranger, weigh(0, 281))).status).toBe(404)
  expect((await current()).facts).toHaveLength(0)
})

describe('the feed', () => {
  const heard: (FabricationNews | null)[] = []
  const readings = () =>
    heard.flatMap((news) => news?.facts.map((fact) => (fact.kind === 'reading' ? fact.grams : 0)) ?? [])
  beforeEach(() => {
    heard.length = 0
  })

  test('of another server hears what this one stored, within a second and once', async () => {
    const elsewhere = new FactFeed(test_.database)
    const stop = elsewhere.follow(kitchen.id, state.record.id, (news) => heard.push(news))
    await post(weigh(0, 281))
    await until(() => readings().includes(281), { timeoutMs: 1_500, everyMs: 20 })
    await post(weigh(1, 279))
    await until(() => readings().includes(279), { timeoutMs: 1_500, everyMs: 20 })
    expect(readings()).toEqual([281, 279])
    stop()
    elsewhere.close()
  })

  test('tells of an edited record by its version, and nothing of other benches', async () => {
    const elsewhere = new FactFeed(test_.database)
    elsewhere.follow(kitchen.id, state.record.id, (news) => heard.push(news))
    const other = await startSixChickens(test_, kitchen)
    await post(weighing(other.record.id, other.record.piles[0]?.id as string, 999))
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
    await post(weigh(0, 281), { kind: 'mark', ...made(2), mark: 'cold-in' })
    let text = ''
    while (!text.includes('cold-in')) text += new TextDecoder().decode((await reader.read()).value)
    expect(performance.now() - sent).toBeLessThan(1_000)
    expect(text).toContain('"grams":281')
    aborter.abort()
  })
})
