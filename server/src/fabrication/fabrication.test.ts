import { type FabricationState, type Kitchen, editOf as wholeEdit } from '@fleam/contract'
import { appraise } from '@fleam/core'
import { v7 as newId } from 'uuid'
import cases from '../../../core/cases/appraise.json'
import { openTestApp, send, setUpKitchen, startSixChickens, type TestApp, weighing } from '../../test/harness.ts'

/** An edit that may hold anything, right or wrong. */
const editOf = ({ record }: FabricationState, changes: object = {}) => ({ ...wholeEdit(record), ...changes })

let test_: TestApp
let kitchen: Kitchen
let state: FabricationState
const path = (suffix = '') => `/api/kitchens/${kitchen.id}/fabrications/${state.record.id}${suffix}`
const pile = (at: number) => state.record.piles[at]?.id as string
const current = async (): Promise<FabricationState> => (await send(test_, 'GET', path())).body

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
})
beforeEach(async () => {
  state = await startSixChickens(test_, kitchen)
})
afterAll(() => test_.close())

describe('starting', () => {
  test('copies piles, portions and labour of the style', () => {
    expect(state.record.piles.map((each) => each.name)).toContain('supremes')
    expect(state.record.piles.find((each) => each.name === 'thighs, boneless')?.portions).toBe(12)
    expect(state.record.labour).toEqual([{ task: 'break down', minutes: 54, ratePerHour: 21.4 }])
  })

  test('sent twice, it is started once', async () => {
    const { record } = state
    const start = {
      id: record.id,
      styleId: newId(),
      units: 1,
      purchase: record.purchase,
      cookId: null,
      supplier: null,
      lot: null,
      date: record.date,
      startedAt: record.startedAt,
    }
    const list = await send(test_, 'GET', `/api/kitchens/${kitchen.id}/items`)
    start.styleId = list.body[0].styles[0].id
    const again = await send(test_, 'POST', `/api/kitchens/${kitchen.id}/fabrications`, start)
    expect(again.status).toBe(201)
    expect(again.body.record.purchase).toEqual(record.purchase)
  })

  test('values and offers that the kitchen has not settled are as last time', async () => {
    const fresh = await setUpKitchen(test_, 'As last time')
    const first = await startSixChickens(test_, fresh)
    const piles = first.record.piles.map((each) => (each.class === 'primary' ? { ...each, valuePerKg: 12.5 } : each))
    const offers = [{ name: 'Ready', pile: 'supremes', price: { amount: 4, per: 'piece' }, pieceWeight: 280 }]
    await send(
      test_,
      'PUT',
      `/api/kitchens/${fresh.id}/fabrications/${first.record.id}`,
      editOf(first, { piles, offers }),
    )
    const { record } = await startSixChickens(test_, fresh)
    expect(record.piles[0]?.valuePerKg).toBe(12.5)
    expect(record.offers).toEqual(offers)
  })

  test('refuses a style or a cook of nowhere', async () => {
    const { record } = state
    const start = {
      id: newId(),
      styleId: newId(),
      units: 6,
      purchase: record.purchase,
      cookId: null,
      supplier: null,
      lot: null,
      date: record.date,
      startedAt: record.startedAt,
    }
    const unknown = await send(test_, 'POST', `/api/kitchens/${kitchen.id}/fabrications`, start)
    expect([unknown.status, unknown.body.code]).toEqual([404, 'not-found'])
  })
})

describe('readings', () => {
  test('are stored once however often they are sent', async () => {
    const readings = [weighing(pile(0), 281), weighing(pile(0), 276.5), weighing(pile(1), 820)]
    const first = await send(test_, 'POST', path('/readings'), { readings })
    expect(first.body.kept).toEqual(readings.map((each) => each.id))
    const more = weighing(pile(2), 1700)
    const second = await send(test_, 'POST', path('/readings'), { readings: [...readings, more, more] })
    expect(second.status).toBe(200)
    const after = await current()
    expect(after.readings.map((each) => each.grams).sort()).toEqual([1700, 276.5, 281, 820].sort())
  })

  test('of many devices at once are all there, and a bad one fails alone', async () => {
    const good = Array.from({ length: 60 }, (_, at) => weighing(pile(at % 3), 100 + at))
    const bad = weighing(newId(), 5)
    const answers = await Promise.all(
      [...good, bad].map((each) => send(test_, 'POST', path('/readings'), { readings: [each] })),
    )
    expect(answers.filter((each) => each.status === 200)).toHaveLength(60)
    expect(answers.at(-1)?.body).toMatchObject({ code: 'pile-unknown', issues: [{ path: 'readings[0].pileId' }] })
    expect((await current()).readings).toHaveLength(60)
  })

  test('are voided by another row and never changed', async () => {
    const reading = weighing(pile(0), 999)
    await send(test_, 'POST', path('/readings'), { readings: [reading] })
    const withdrawal = { id: newId(), readingId: reading.id, takenAt: reading.takenAt }
    await send(test_, 'POST', path('/readings'), { voids: [withdrawal] })
    await send(test_, 'POST', path('/readings'), { voids: [withdrawal] })
    const after = await current()
    expect(after.readings).toHaveLength(1)
    expect(after.voids).toEqual([withdrawal])
    const { body } = await send(test_, 'GET', path('/document.json'))
    expect(body.piles[0].pieces).toEqual([])
  })

  test('an id that stands for another weighing is refused', async () => {
    const reading = weighing(pile(0), 281)
    await send(test_, 'POST', path('/readings'), { readings: [reading] })
    const other = await send(test_, 'POST', path('/readings'), { readings: [{ ...reading, grams: 300 }] })
    expect([other.status, other.body.code]).toEqual([409, 'id-taken'])
  })

  test('a withdrawal of something that was never weighed is refused', async () => {
    const lost = { id: newId(), readingId: newId(), takenAt: '2026-11-24T08:00:00.000Z' }
    expect((await send(test_, 'POST', path('/readings'), { voids: [lost] })).status).toBe(404)
  })

  for (const [what, changes, field] of [
    ['negative', { grams: -1 }, 'readings[0].grams'],
    ['missing', { grams: undefined }, 'readings[0].grams'],
    ['enormous', { grams: 1e12 }, 'readings[0].grams'],
    ['text', { grams: '281' }, 'readings[0].grams'],
    ['not a number', { grams: null }, 'readings[0].grams'],
    ['unknown field', { colour: 'red' }, 'readings[0].colour'],
    ['bad id', { id: '7' }, 'readings[0].id'],
    ['bad time', { takenAt: 'yesterday' }, 'readings[0].takenAt'],
  ] as const) {
    test(`refuses a reading: ${what}`, async () => {
      const { status, body, headers } = await send(test_, 'POST', path('/readings'), {
        readings: [{ ...weighing(pile(0), 281), ...changes }],
      })
      expect(status).toBe(400)
      expect(headers['content-type']).toContain('application/problem+json')
      expect(body).toMatchObject({ code: 'invalid-input', kept: 'Nothing was changed.' })
      expect(body.issues[0].path).toBe(field)
      expect((await current()).readings).toHaveLength(0)
    })
  }
})

describe('another kitchen', () => {
  test('sees nothing, weighs nothing and changes nothing', async () => {
    const other = await setUpKitchen(test_, 'Other')
    const stranger = `/api/kitchens/${other.id}/fabrications/${state.record.id}`
    const answers = await Promise.all([
      send(test_, 'GET', stranger),
      send(test_, 'GET', `${stranger}/document.json`),
      send(test_, 'GET', `${stranger}/piles.csv`),
      send(test_, 'POST', `${stranger}/readings`, { readings: [weighing(pile(0), 281)] }),
      send(test_, 'PUT', stranger, editOf(state)),
    ])
    expect(answers.map((each) => each.status)).toEqual([404, 404, 404, 404, 404])
    expect((await current()).readings).toHaveLength(0)
  })
})

describe('changing', () => {
  test('keeps what was written and moves the version on', async () => {
    const piles = state.record.piles.map((each, at) => (at === 0 ? { ...each, valuePerKg: 13.2 } : each))
    const offers = [
      {
        name: 'Supremes, 20 x 280 g',
        pile: 'supremes',
        price: { amount: 76, per: 'case' },
        pieces: 20,
        pieceWeight: 280,
        usableShare: 0.97,
      },
    ]
    const { status, body } = await send(
      test_,
      'PUT',
      path(),
      editOf(state, { piles, offers, status: 'closed', notes: 'cold birds' }),
    )
    expect(status).toBe(200)
    expect(body.record).toMatchObject({ version: 2, status: 'closed', notes: 'cold birds', offers })
    expect(body.record.piles[0].valuePerKg).toBe(13.2)
    expect(body.record.closedAt).not.toBeNull()
  })

  test('refuses a stale version and shows the record as it is', async () => {
    await send(test_, 'PUT', path(), editOf(state, { notes: 'first' }))
    const { status, body } = await send(test_, 'PUT', path(), editOf(state, { notes: 'second' }))
    expect([status, body.code]).toEqual([409, 'stale-version'])
    expect(body.current.record).toMatchObject({ version: 2, notes: 'first' })
    expect((await current()).record.notes).toBe('first')
  })

  test('refuses piles that are not its own, and leaves everything as it was', async () => {
    const piles = state.record.piles.map((each) => ({ ...each, id: newId() }))
    expect((await send(test_, 'PUT', path(), editOf(state, { piles }))).body.code).toBe('pile-unknown')
    const fewer = await send(test_, 'PUT', path(), editOf(state, { piles: state.record.piles.slice(0, -1) }))
    expect(fewer.body.issues[0].path).toBe('piles')
    expect(await current()).toEqual(state)
  })
})

describe('open formats', () => {
  test.each(cases.map((each) => [each.name, each.input] as const))(
    '%s comes back from import and export as it was',
    async (_name, input) => {
      const id = newId()
      const imported = await send(test_, 'POST', `/api/kitchens/${kitchen.id}/fabrications/import?id=${id}`, input)
      expect(imported.status).toBe(201)
      const again = await send(test_, 'POST', `/api/kitchens/${kitchen.id}/fabrications/import?id=${id}`, input)
      expect(again.body).toEqual(imported.body)
      const { body } = await send(test_, 'GET', `/api/kitchens/${kitchen.id}/fabrications/${id}/document.json`)
      expect(appraise(body)).toEqual(appraise(input as never))
    },
  )

  test('half a document is refused and nothing is kept of it', async () => {
    const list = () => send(test_, 'GET', `/api/kitchens/${kitchen.id}/fabrications`)
    const before = (await list()).body.length
    const whole = JSON.stringify(cases[0]?.input)
    const response = await test_.app.inject({
      method: 'POST',
      url: `/api/kitchens/${kitchen.id}/fabrications/import?id=${newId()}`,
      headers: { 'content-type': 'application/json' },
      payload: whole.slice(0, whole.length / 2),
    })
    expect([response.statusCode, response.json().code]).toEqual([400, 'not-json'])
    expect((await list()).body).toHaveLength(before)
  })

  test('piles as CSV have their units in the header and CRLF line ends', async () => {
    await send(test_, 'POST', path('/readings'), { readings: [weighing(pile(0), 281)] })
    const response = await test_.app.inject({ url: path('/piles.csv') })
    expect(response.headers['content-type']).toContain('text/csv')
    const lines = response.body.split('\r\n')
    expect(lines[0]).toContain('weight (g)')
    expect(lines[0]).toContain('cost (EUR/portion)')
    expect(lines[1]).toMatch(/^supremes,primary,281,/)
    expect(lines).toHaveLength(state.record.piles.length + 2)
  })
})

test('all figures of a record are the same as appraising its document', async () => {
  const document = (await send(test_, 'GET', path('/document.json'))).body
  const { status, body } = await send(test_, 'GET', path('/appraisal.json'))
  expect(status).toBe(200)
  expect(body).toEqual((await send(test_, 'POST', '/api/appraise', document)).body)
})
