import type { Supplier } from '@fleam/contract/buying/schemas'
import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { lotEditOf } from '@fleam/contract/receiving/edit'
import type { Lot } from '@fleam/contract/receiving/schemas'
import type { WhatIf } from '@fleam/contract/what-if/schemas'
import { MAX_COOKS, MAX_STYLES } from '@fleam/core/limits'
import type { Plan, PlannedFabrication } from '@fleam/core/plans'
import { guessMapping, readTable } from '@fleam/core/price-lists'
import type { Item, Style } from '@fleam/core/style'
import { withOwnPiles } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { sixChickens } from '../../core/test/documents.ts'
import { buildApp, openDatabase, ScaleGateway } from '../src/index.ts'
import { fillPlans } from './fill-plans.ts'
import { addSupplier, openTestApp, setUpKitchen, startOf, type TestApp } from './harness.ts'

/**
 * Everything that decides by what it has read, run against itself and against what would make the decision wrong. Each
 * pair is tried so many times; `FLEAM_RACES=60` makes a thousand pairs of them.
 */
const ROUNDS = Number(process.env.FLEAM_RACES ?? 2)

let test_: TestApp
/** Another server on the same database. */
let other: TestApp['app']
let otherDatabase: TestApp['database']
let kitchen: Kitchen
let item: Item
let style: Style
const path = (rest: string) => `/api/kitchens/${kitchen.id}${rest}`

beforeAll(async () => {
  test_ = await openTestApp()
  otherDatabase = openDatabase(test_.url)
  other = await buildApp({ database: otherDatabase, scale: new ScaleGateway(null) })
  kitchen = await setUpKitchen(test_)
  item = (await get<Item[]>('/items'))[0] as Item
  style = item.styles[0] as Style
})
afterAll(async () => {
  await other.close()
  await otherDatabase.sequelize.close()
  await test_.close()
})

interface Answer {
  status: number
  body: { code?: string; [field: string]: unknown }
  text: string
}
type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

async function ask(method: Method, rest: string, payload?: unknown, app = test_.app): Promise<Answer> {
  const sent = payload === undefined ? {} : { payload: payload as object }
  const { statusCode, body } = await app.inject({ method, url: path(rest), ...sent })
  return { status: statusCode, body: JSON.parse(body.trim().split('\n').at(-1) as string), text: body }
}
const get = async <T>(rest: string): Promise<T> => (await ask('GET', rest)).body as T
/** All at once, through two servers; whatever comes of it, none may be a mistake of ours. */
async function race(...requests: [Method, string, unknown?][]): Promise<Answer[]> {
  const answers = await Promise.all(
    requests.map(([method, rest, payload], index) => ask(method, rest, payload, index % 2 === 0 ? test_.app : other)),
  )
  for (const { status, body, text } of answers) {
    expect([status < 500, text]).toEqual([true, text])
    expect(body.problem).toBeUndefined()
  }
  return answers
}
const times = (count: number, request: (at: number) => [Method, string, unknown?]) =>
  Array.from({ length: count }, (_, index) => request(index))
const statuses = (answers: readonly Answer[]) => answers.map(({ status }) => status).sort()
const suppliers = () => get<Supplier[]>('/suppliers')
const itemEdit = ({ styles: _styles, id: _id, ...edit }: Item) => edit
const rounds = Array.from({ length: ROUNDS }, (_, index) => index)

const lotOf = (supplierId: string, more: object = {}) => ({
  ...{ id: newId(), version: 1, itemId: item.id, supplierId, code: newId().slice(-8), gtin: null },
  ...{ price: { amount: 3.1, per: 'kg' }, extras: null, pieces: 6, receivedOn: '2026-11-24', productionDate: null },
  ...{ useBy: null, openedOn: null, isFinished: false, notes: null, checks: [] },
  cases: [{ id: newId(), label: null, serial: null, invoiceWeight: 12_600, weighed: null }],
  ...more,
})

describe.each(rounds)('round %s', () => {
  test('two suppliers, each merged into the other, are one', async () => {
    const names = [`Ost ${newId()}`, `West ${newId()}`] as const
    const [one, two] = [await addSupplier(test_, kitchen, names[0]), await addSupplier(test_, kitchen, names[1])]
    const merge = (from: string, into: string): [Method, string, unknown] => [
      'POST',
      `/suppliers/${from}/merge`,
      { into },
    ]
    const answers = await race(merge(one, two), merge(two, one))
    expect(statuses(answers)).toEqual([200, 404])
    expect((await suppliers()).filter(({ name }) => names.includes(name as never))).toHaveLength(1)
  })

  test('what comes from a supplier that is merged at this moment comes from the other one, or is refused', async () => {
    const [one, two] = [await addSupplier(test_, kitchen, newId()), await addSupplier(test_, kitchen, newId())]
    const lots = [lotOf(one), lotOf(one), lotOf(one)]
    const answers = await race(
      ['POST', '/lots', lots[0]],
      ['POST', `/suppliers/${one}/merge`, { into: two }],
      ['POST', '/lots', lots[1]],
      ['PUT', '/suppliers', { id: one, name: newId() }],
      ['POST', '/lots', lots[2]],
    )
    const known = new Set((await suppliers()).map(({ id }) => id))
    for (const [at, { id }] of lots.entries()) {
      const kept = (await get<{ lot?: Lot }>(`/lots/${id}`)).lot
      const answer = answers[[0, 2, 4][at] as number] as Answer
      expect([answer.status, kept === undefined]).toEqual(answer.status === 201 ? [201, false] : [404, true])
      if (kept) expect(known.has(kept.supplierId)).toBe(true)
    }
  })

  test('one file of records, three times at once, is taken in once and known twice', async () => {
    const { meta: _meta, ...document } = sixChickens({ item: item.name, style: style.name })
    const records = times(8, () => ['GET', '']).map(() => ({ id: newId(), document }))
    const file = { format: 'fleam/logbook', version: 1, records }
    const answers = await race(...times(3, () => ['POST', '/logbook/import', file]))
    const results = answers.map(({ body }) => body.result as { kept: number; known: number })
    expect(results.map(({ kept }) => kept).sort()).toEqual([0, 0, 8])
    expect(results.map(({ known }) => known).sort()).toEqual([0, 8, 8])
  })

  test('what the catalogue has is added once, however many ask for it', async () => {
    const [gone] = (await get<Item[]>('/items')).filter(({ id }) => id !== item.id).slice(-1)
    // One that the kitchen calls otherwise is not the catalogue's any more.
    await ask('PUT', `/items/${gone?.id}`, { ...itemEdit(gone as Item), name: `Own ${newId()}` })
    await race(...times(4, () => ['POST', '/items/from-catalogue']))
    const names = (await get<Item[]>('/items')).map(({ name }) => name)
    expect(new Set(names).size).toBe(names.length)
    expect(names).toContain(gone?.name)
  })

  test('styles that are added at once each have a name and a place of their own', async () => {
    const file = await get<object>(`/styles/${style.id}/style.json`)
    const stylesNow = async () => (await get<Item[]>('/items')).find(({ id }) => id === item.id)?.styles ?? []
    // After many rounds the item is full: then as many are added as there is room for, and no more.
    const room = Math.min(5, MAX_STYLES - (await stylesNow()).length)
    const copy = () => ({ ...withOwnPiles(style, newId), id: newId(), name: `Copy ${newId()}` })
    const answers = await race(
      ...times(3, () => ['POST', `/styles/import?id=${newId()}`, file]),
      ...times(2, () => ['POST', `/items/${item.id}/styles`, copy()]),
    )
    expect(statuses(answers)).toEqual([...Array(room).fill(201), ...Array(5 - room).fill(400)])
    const styles = await stylesNow()
    expect(new Set(styles.map(({ name }) => name)).size).toBe(styles.length)
  })

  test('two changes of one style, one record and one lot: one is made, the other told', async () => {
    const fresh = (await get<Item[]>('/items'))[0]?.styles[0] as Style
    const { record } = (await ask('POST', '/fabrications', startOf(style.id))).body as unknown as FabricationState
    const supplierId = await addSupplier(test_, kitchen, newId())
    const lot = (await ask('POST', '/lots', lotOf(supplierId))).body as unknown as Lot
    const [first, second, third] = [
      await race(...times(2, (at) => ['PUT', `/styles/${fresh.id}`, { ...fresh, minutesPerUnit: 5 + at }])),
      await race(...times(2, (at) => ['PUT', `/fabrications/${record.id}`, editOf(record, { notes: String(at) })])),
      await race(...times(2, (at) => ['PUT', `/lots/${lot.id}`, { ...lotEditOf(lot), notes: String(at) }])),
    ]
    expect([first, second, third].map(statuses)).toEqual([
      [200, 409],
      [200, 409],
      [200, 409],
    ])
  })

  test('a plan is accepted once, and what was accepted is not deleted with it', async () => {
    const { id, plan } = await draftPlan()
    const { draft, goods, answer } = plan
    const answers = await race(
      ...times(2, (): [Method, string, unknown] => [
        'POST',
        `/plans/${id}/acceptance`,
        { version: 1, draft, goods, answer },
      ]),
      ['DELETE', `/plans/${id}`],
    )
    const kept = await ask('GET', `/plans/${id}`)
    const accepted = answers.slice(0, 2).filter(({ status }) => status === 200)
    expect(accepted.length).toBe(kept.status === 200 ? 1 : 0)
    expect(answers[2]?.status).toBe(kept.status === 200 ? 400 : 200)
  })

  test('of two plans that are to stand in the place of one, one does', async () => {
    const { id, plan } = await draftPlan()
    const { draft, goods, answer } = plan
    await ask('POST', `/plans/${id}/acceptance`, { version: 1, draft, goods, answer })
    const rest = { ...draft, replaces: id }
    const heirs = [newId(), newId()]
    for (const heir of heirs) await ask('POST', '/plans', { id: heir, name: `Rest ${heir}`, draft: rest })
    const answers = await race(
      ...heirs.map((heir): [Method, string, unknown] => [
        'POST',
        `/plans/${heir}/acceptance`,
        { version: 1, draft: rest, goods, answer },
      ]),
    )
    expect(statuses(answers)).toEqual([200, 400])
    const kept = await Promise.all(heirs.map((heir) => get<Plan>(`/plans/${heir}`)))
    expect(kept.filter(({ accepted }) => accepted !== null)).toHaveLength(1)
    // What waited of the old plan waits no more, once.
    const waiting = (await get<Plan>(`/plans/${id}`)).accepted?.planned.map(({ isDropped }) => isDropped)
    expect(waiting).toEqual([true])
  })

  test('an acceptance that is withdrawn as its work begins and its goods come takes neither with it', async () => {
    const { id, plan } = await draftPlan()
    const { draft, goods, answer } = plan
    const accepted = (await ask('POST', `/plans/${id}/acceptance`, { version: 1, draft, goods, answer }))
      .body as unknown as Plan
    const { planned: work, expected } = accepted.accepted as NonNullable<Plan['accepted']>
    const [planned] = work as [PlannedFabrication]
    const [line] = expected
    const start = { ...startOf(planned.styleId), plannedId: planned.id }
    const lot = lotOf(line?.supplierId as string, { expectedLineId: line?.id })
    const [began, withdrawn, came] = await race(
      ['POST', '/fabrications', start],
      ['DELETE', `/plans/${id}/acceptance?version=${accepted.version}`],
      ['POST', '/lots', lot],
    )
    const now = (await get<Plan>(`/plans/${id}`)).accepted
    if (withdrawn?.status === 200) expect([began?.status, came?.status, now]).toEqual([400, expect.any(Number), null])
    else expect(now?.planned.length).toBe(1)
    if (began?.status === 201) expect(now?.planned[0]?.fabricationId).toBe(start.id)
    if (came?.status === 201) expect((await get<{ lot: Lot }>(`/lots/${lot.id}`)).lot.expectedLineId).toBe(line?.id)
  })

  test('two schedules of one plan: one is kept, the other told', async () => {
    const { id, plan } = await draftPlan()
    const { draft, goods, answer } = plan
    const { version } = (await ask('POST', `/plans/${id}/acceptance`, { version: 1, draft, goods, answer }))
      .body as unknown as Plan
    const settings = {
      ...{ boards: 2, saws: 1, stoves: 2, begins: 480, service: 1080, buffer: 30, boardMinutes: 30, packMinutes: 10 },
      ...{ setHours: 8, stockHours: 6, cleanDown: 10, against: 20 },
    }
    const schedule = { settings, late: [], days: [], tasks: [] }
    const answers = await race(...times(2, () => ['PUT', `/plans/${id}/schedule`, { version, schedule }]))
    expect(statuses(answers)).toEqual([200, 409])
  })

  test('one price list twice at once brings its prices once', async () => {
    const supplier = `List ${newId()}`
    const csv = `supplier;article number;article;price;unit\n${supplier};A;Chicken;3.1;kg\n${supplier};B;Duck;6.9;kg`
    const mapping = guessMapping(readTable(csv, 1).headers, '2026-11-24')
    const answers = await race(...times(2, () => ['POST', '/price-lists', { csv, mapping }]))
    expect(statuses(answers)).toEqual([200, 200])
    const { rows } = await get<{ rows: { prices: number }[] }>(`/articles?words=${encodeURIComponent(supplier)}`)
    expect(rows.map(({ prices }) => prices)).toEqual([1, 1])
  })
})

/** What a plan is accepted with. */
interface Answered {
  draft: object
  goods: object
  answer: object
}
let filled: Answered | null = null

/** A plan that nobody has accepted, with an answer that may be. */
async function draftPlan(): Promise<{ id: string; plan: Answered }> {
  filled ??= await answeredPlan()
  const id = newId()
  await ask('POST', '/plans', { id, name: `Race ${id}`, draft: filled.draft })
  return { id, plan: filled }
}

async function answeredPlan(): Promise<Answered> {
  const [supplierId, cookId] = [await addSupplier(test_, kitchen, 'Ostravale'), newId()]
  await ask('POST', '/cooks', { id: cookId, name: 'Marit', wagePerHour: 27.5 })
  const product = (await get<{ id: string }[]>('/products'))[0] as { id: string }
  let accepted: Answered | null = null
  const asking = async <T>(method: Method, rest: string, payload?: unknown): Promise<T> => {
    if (rest.endsWith('/acceptance')) accepted = payload as Answered
    return (await ask(method, rest, payload)).body as T
  }
  await fillPlans(asking, { supplierId, cookId, item, style, productId: product.id })
  if (!accepted) throw new Error('Nothing was accepted')
  return accepted
}

test('no kitchen has more cooks, and no record more what-ifs, than there is room for', async () => {
  const cook = () => ({ id: newId(), name: `Cook ${newId()}`, wagePerHour: 20 })
  const known = (await get<unknown[]>('/cooks')).length
  for (let at = known; at < MAX_COOKS - 1; at++) await ask('POST', '/cooks', cook())
  const answers = await race(...times(4, () => ['POST', '/cooks', cook()]))
  expect(statuses(answers)).toEqual([201, 400, 400, 400])

  const { record } = (await ask('POST', '/fabrications', startOf(style.id))).body as unknown as FabricationState
  const base = `/fabrications/${record.id}/what-ifs`
  const { purchase, labour, consumables, piles, offers, creditPolicy, allocation } = record
  const assumptions = { purchase, labour, consumables, piles, offers, creditPolicy, allocation }
  const whatIf = (id: string): [Method, string, unknown] => [
    'PUT',
    `${base}/${id}`,
    { id, name: 'What if', assumptions, createdAt: '2026-11-24T08:00:00.000Z' },
  ]
  for (let at = 0; at < 49; at++) expect((await ask(...whatIf(newId()))).status).toBe(200)
  expect(statuses(await race(...times(4, () => whatIf(newId()))))).toEqual([200, 400, 400, 400])
  expect(await get<WhatIf[]>(base)).toHaveLength(50)
})
