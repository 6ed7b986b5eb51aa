import { editOf as wholeEdit } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { appraise } from '@fleam/core/appraisal'
import type { Item } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import cases from '../../../core/cases/appraise.json'
import {
  addSupplier,
  openTestApp,
  send,
  sendFacts,
  setUpKitchen,
  startSixChickens,
  type TestApp,
  weighing,
} from '../../test/harness.ts'

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
    expect(state.record.piles.map((pile) => pile.name)).toContain('supremes')
    expect(state.record.piles.find((pile) => pile.name === 'thighs, boneless')?.portions).toBe(12)
    expect(state.record.labour).toEqual([{ task: 'break down', minutes: 54, ratePerHour: 21.4 }])
  })

  test('sent twice, it is started once', async () => {
    const { record } = state
    const start = {
      id: record.id,
      styleId: newId(),
      units: record.units,
      purchase: record.purchase,
      cookId: null,
      supplierId: null,
      lot: null,
      date: record.date,
      startedAt: record.startedAt,
    }
    const list = await send(test_, 'GET', `/api/kitchens/${kitchen.id}/items`)
    start.styleId = list.body[0].styles[0].id
    const again = await send(test_, 'POST', `/api/kitchens/${kitchen.id}/fabrications`, start)
    expect(again.status).toBe(201)
    expect(again.body.record.purchase).toEqual(record.purchase)
    const others = [{ units: record.units + 1 }, { styleId: list.body[0].styles[1].id }]
    for (const other of others) {
      const { status, body } = await send(test_, 'POST', `/api/kitchens/${kitchen.id}/fabrications`, {
        ...start,
        ...other,
      })
      expect([status, body.code, body.issues[0].path]).toEqual([409, 'id-taken', 'id'])
    }
  })

  test('values and offers that the kitchen has not settled are as last time', async () => {
    const fresh = await setUpKitchen(test_, 'As last time')
    const first = await startSixChickens(test_, fresh)
    const piles = first.record.piles.map((pile) => (pile.class === 'primary' ? { ...pile, valuePerKg: 12.5 } : pile))
    const offers = [{ name: 'Ready', pileId: piles[0]?.id, price: { amount: 4, per: 'piece' }, pieceWeight: 280 }]
    await send(
      test_,
      'PUT',
      `/api/kitchens/${fresh.id}/fabrications/${first.record.id}`,
      editOf(first, { piles, offers }),
    )
    const { record } = await startSixChickens(test_, fresh)
    expect(record.piles[0]?.valuePerKg).toBe(12.5)
    // The same pile, which has another id in another record.
    expect(record.offers).toEqual([{ ...offers[0], articleId: null, pileId: record.piles[0]?.id }])
  })

  test('refuses a style or a cook of nowhere', async () => {
    const { record } = state
    const start = {
      id: newId(),
      styleId: newId(),
      units: 6,
      purchase: record.purchase,
      cookId: null,
      supplierId: null,
      lot: null,
      date: record.date,
      startedAt: record.startedAt,
    }
    const unknown = await send(test_, 'POST', `/api/kitchens/${kitchen.id}/fabrications`, start)
    expect([unknown.status, unknown.body.code]).toEqual([404, 'not-found'])
  })
})

describe('another kitchen', () => {
  test('sees nothing, weighs nothing and changes nothing', async () => {
    const other = await setUpKitchen(test_, 'Other')
    const stranger = `/api/kitchens/${other.id}/fabrications/${state.record.id}`
    const answers = await Promise.all([
      send(test_, 'GET', stranger),
      send(test_, 'GET', `${stranger}/document.json`),
      send(test_, 'GET', `${stranger}/piles.csv`),
      send(test_, 'PUT', stranger, editOf(state)),
    ])
    expect(answers.map((answer) => answer.status)).toEqual([404, 404, 404, 404])
  })
})

describe('changing', () => {
  test('keeps what was written and moves the version on', async () => {
    const piles = state.record.piles.map((pile, index) => (index === 0 ? { ...pile, valuePerKg: 13.2 } : pile))
    const offers = [
      {
        name: 'Supremes, 20 x 280 g',
        pileId: piles[0]?.id,
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
    const piles = state.record.piles.map((pile) => ({ ...pile, id: newId() }))
    expect((await send(test_, 'PUT', path(), editOf(state, { piles, offers: [] }))).body.code).toBe('invalid-input')
    const fewer = await send(test_, 'PUT', path(), editOf(state, { piles: state.record.piles.slice(0, -1) }))
    expect(fewer.body.issues[0].path).toBe('piles')
    expect(await current()).toEqual(state)
  })
})

describe('open formats', () => {
  test.each(cases.map((testCase) => [testCase.name, testCase.input] as const))(
    '%s comes back from import and export as it was',
    async (_name, input) => {
      const id = newId()
      const imported = await send(
        test_,
        'POST',
        `/api/kitchens/${kitchen.id}/fabrications/import?id=${id}&item=none&supplier=none&cook=none`,
        input,
      )
      expect(imported.status).toBe(201)
      const again = await send(
        test_,
        'POST',
        `/api/kitchens/${kitchen.id}/fabrications/import?id=${id}&item=none&supplier=none&cook=none`,
        input,
      )
      expect(again.body).toEqual(imported.body)
      const { body } = await send(test_, 'GET', `/api/kitchens/${kitchen.id}/fabrications/${id}/document.json`)
      expect(appraise(body)).toEqual(appraise(input as never))
    },
  )

  test('a document whose names fit nothing is refused with all of them, and nothing of it is kept', async () => {
    const input = { ...cases[0]?.input, item: 'Dodo', meta: { supplier: 'Nobody', cook: 'No one' } }
    const own = `/api/kitchens/${kitchen.id}/fabrications`
    const id = newId()
    const refused = await send(test_, 'POST', `${own}/import?id=${id}`, input)
    expect([refused.status, refused.body.code]).toEqual([422, 'name-unknown'])
    expect(refused.body.issues.map((issue: { path: string }) => issue.path)).toEqual([
      'item',
      'meta.supplier',
      'meta.cook',
    ])
    expect(refused.body.current[0].candidates.length).toBeGreaterThan(20)
    expect((await send(test_, 'GET', `${own}/${id}`)).status).toBe(404)
  })

  test('a document’s names are resolved once, by themselves or by what was decided', async () => {
    const items: Item[] = (await send(test_, 'GET', `/api/kitchens/${kitchen.id}/items`)).body
    const [chicken] = items
    const style = chicken?.styles[0]
    const supplierId = await addSupplier(test_, kitchen, 'Ostravale Poultry Yard')
    const input = {
      ...cases[0]?.input,
      item: chicken?.name.toUpperCase(),
      style: 'Their own words',
      meta: { supplier: 'ostravale POULTRY yard' },
    }
    const own = `/api/kitchens/${kitchen.id}/fabrications/import?id=${newId()}`
    expect((await send(test_, 'POST', own, input)).body.issues).toMatchObject([{ path: 'style' }])
    const { body } = await send(test_, 'POST', `${own}&style=${style?.id}`, input)
    expect(body.record).toMatchObject({ itemId: chicken?.id, styleId: style?.id, supplierId })
    expect(body.record.item).toBe(chicken?.name)
    const added = await send(test_, 'POST', `${own.slice(0, -36)}${newId()}&item=none&supplier=add`, {
      ...input,
      meta: { supplier: 'New to us' },
    })
    expect(added.body.record).toMatchObject({ itemId: null, supplier: 'New to us' })
    expect(added.body.record.supplierId).not.toBeNull()
  })

  test('a supplier that is added for a document goes again where the record cannot be kept', async () => {
    const other = await setUpKitchen(test_, 'Elsewhere')
    const names = 'item=none&cook=none&supplier=add'
    const path = `/api/kitchens/${other.id}`
    const request = `${path}/fabrications/import?id=${newId()}&${names}`
    const document = { ...cases[0]?.input, meta: { supplier: 'Only for this one' } }
    const { sequelize } = test_.database
    await sequelize.query("CREATE TRIGGER full BEFORE INSERT ON facts FOR EACH ROW SIGNAL SQLSTATE '45000'")
    try {
      expect((await send(test_, 'POST', request, document)).status).toBe(500)
    } finally {
      await sequelize.query('DROP TRIGGER full')
    }
    expect((await send(test_, 'GET', `${path}/suppliers`)).body).toEqual([])
    expect((await send(test_, 'GET', `${path}/fabrications`)).body).toEqual([])
    expect((await send(test_, 'POST', request, document)).status).toBe(201)
  })

  test('half a document is refused and nothing is kept of it', async () => {
    const list = () => send(test_, 'GET', `/api/kitchens/${kitchen.id}/fabrications`)
    const before = (await list()).body.length
    const whole = JSON.stringify(cases[0]?.input)
    const response = await test_.app.inject({
      method: 'POST',
      url: `/api/kitchens/${kitchen.id}/fabrications/import?id=${newId()}&item=none`,
      headers: { 'content-type': 'application/json' },
      payload: whole.slice(0, whole.length / 2),
    })
    expect([response.statusCode, response.json().code]).toEqual([400, 'not-json'])
    expect((await list()).body).toHaveLength(before)
  })

  test('piles as CSV have their units in the header and CRLF line ends', async () => {
    await sendFacts(test_, kitchen, weighing(state.record.id, pile(0), 281))
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

test('causes of loss are kept with the record', async () => {
  const pileId = state.record.piles[0]?.id as string
  const causes = [{ pileId, cause: 'meat-on-bones' as const }]
  const { body } = await send(test_, 'PUT', path(), editOf(state, { causes }))
  expect(body.record.causes).toEqual(causes.map((cause) => ({ ...cause, isLasting: false })))
  const bad = await send(test_, 'PUT', path(), editOf(state, { version: 2, causes: [{ pileId, cause: 'the moon' }] }))
  expect(bad.body.issues[0].path).toBe('causes[0].cause')
})
