import type { Product } from '@fleam/contract/buying'
import { editOf } from '@fleam/contract/edit'
import type { FabricationState } from '@fleam/contract/fabrication'
import type { DaySchedule, StylesWork } from '@fleam/contract/kept-schedule'
import type { Kitchen } from '@fleam/contract/kitchen'
import type { LogbookPage } from '@fleam/contract/logbook'
import type { ExpectedLine, Plan, PlannedFabrication, PlanRow } from '@fleam/contract/planning'
import type { Item } from '@fleam/contract/style'
import { addDays } from '@fleam/core/calendar'
import { type PlanDraft, type PlanGoods, planOrders, planRequest } from '@fleam/core/planning'
import { v7 as newId } from 'uuid'
import { addSupplier, createPrice, openTestApp, send, setUpKitchen, startOf, type TestApp } from '../../test/harness.ts'
import { loadSolver } from '../compute/solver.ts'

let test_: TestApp
let kitchen: Kitchen
let product: Product
let goods: PlanGoods
let supplierId: string
const path = (suffix: string, owner = kitchen.id) => `/api/kitchens/${owner}${suffix}`
const today = new Date().toISOString().slice(0, 10)
const FIRST = addDays(today, 1)

const draft = (changes: Partial<PlanDraft> = {}): PlanDraft => ({
  from: FIRST,
  days: 3,
  covers: [{ day: addDays(FIRST, 1), covers: 40 }],
  menu: [{ productId: product.id, share: 0.3 }],
  portions: [],
  hours: [],
  away: [],
  deliveries: [],
  stock: [],
  lotsLeft: [],
  replaces: null,
  coming: [],
  changes: [],
  pins: [],
  coldSpace: null,
  service: 0.5,
  ...changes,
})

async function answerFor(said: PlanDraft) {
  const { request, pins } = planRequest(said, goods, kitchen.currency)
  return planOrders(request, await loadSolver(), { pins, seconds: 10 })
}

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
  supplierId = await addSupplier(test_, kitchen, 'Ostravale Poultry Yard')
  const price = {
    item: 'Chicken, eviscerated',
    product: null,
    pieceWeight: 2100,
    packPieces: 6,
    packWeight: null,
    usableShare: null,
    handlingMinutesPerPiece: null,
    delivery: null,
    minimumOrder: null,
    from: '2026-01-01',
    until: null,
    supplier: 'Ostravale Poultry Yard',
  } as const
  await createPrice(test_, kitchen, {
    ...price,
    code: 'C6',
    name: 'Crate of six',
    kind: 'whole',
    price: { amount: 39, per: 'case' },
  })
  const known: Product[] = (await send(test_, 'GET', path('/products'))).body
  product = known.find(({ name }) => name.endsWith('supremes')) as Product
  await createPrice(test_, kitchen, {
    ...price,
    code: 'S20',
    name: 'Supremes, twenty',
    kind: 'ready',
    item: null,
    product: product.name,
    price: { amount: 120, per: 'case' },
    pieceWeight: 280,
    packPieces: 20,
  })
  goods = (await send(test_, 'GET', path(`/plan-goods?products=${product.id}`))).body
})
afterAll(() => test_.close())

const create = async (said = draft()) => {
  const plan = { id: newId(), name: 'Thursday', draft: said }
  const { status, body } = await send(test_, 'POST', path('/plans'), plan)
  expect(status).toBe(201)
  return body as Plan
}

test('what a plan rests on: every way to make and to buy a product, with where each value is from', () => {
  expect(goods.wholes).toMatchObject([
    { name: 'Crate of six', pack: 6, price: { value: 39, source: 'price-book' }, unitName: { one: 'bird' } },
  ])
  expect(goods.ready).toMatchObject([{ name: 'Supremes, twenty', productId: product.id, price: { value: 120 } }])
  const supremes = goods.cuts.find(({ name }) => name.startsWith('Supremes'))
  expect(supremes?.minutes.source).toBe('assumed')
  expect(supremes?.yields.find(({ productId }) => productId === product.id)).toMatchObject({
    quantity: { value: 2, source: 'assumed' },
    spread: 'none',
  })
  expect(goods.products.filter(({ unit }) => unit === 'kg').length).toBeGreaterThan(0)
})

test('days of delivery and the cooks’ week are what the plan rests on, once they are said', async () => {
  const suppliers = (await send(test_, 'GET', path('/suppliers'))).body
  const [supplier] = suppliers
  await send(test_, 'PUT', path('/suppliers'), { ...supplier, deliveryDays: [1, 4] })
  const cook = {
    id: newId(),
    name: 'Ondine',
    wagePerHour: 21.4,
    week: [1, 2, 3, 4, 5].map((day) => ({ day, from: 480, until: 840 })),
    skills: null,
  }
  await send(test_, 'POST', path('/cooks'), cook)
  const read: PlanGoods = (await send(test_, 'GET', path(`/plan-goods?products=${product.id}`))).body
  expect(read.suppliers[0]?.deliveryDays).toEqual([1, 4])
  expect(read.cooks).toEqual([{ name: 'Ondine', wagePerHour: 21.4, hours: [6, 6, 6, 6, 6, 0, 0] }])
  await send(test_, 'PUT', path('/suppliers'), supplier)
})

test('a plan is kept, changed at its version, and refused where it is stale', async () => {
  const plan = await create()
  const changed = await send(test_, 'PUT', path(`/plans/${plan.id}`), { name: 'Friday', draft: draft(), version: 1 })
  expect(changed.body).toMatchObject({ name: 'Friday', version: 2, accepted: null })
  const stale = await send(test_, 'PUT', path(`/plans/${plan.id}`), { name: 'Late', draft: draft(), version: 1 })
  expect([stale.status, stale.body.code]).toEqual([409, 'stale-version'])
  const rows: PlanRow[] = (await send(test_, 'GET', path('/plans'))).body
  expect(rows.find(({ id }) => id === plan.id)).toMatchObject({
    name: 'Friday',
    from: FIRST,
    days: 3,
    acceptedAt: null,
  })
  expect((await send(test_, 'DELETE', path(`/plans/${plan.id}`))).status).toBe(200)
  expect((await send(test_, 'GET', path(`/plans/${plan.id}`))).status).toBe(404)
})

test('accepted, its orders are expected and its work is planned; once something came it stays', async () => {
  const plan = await create()
  const said = draft()
  const answer = await answerFor(said)
  expect(answer.cutting.length).toBeGreaterThan(0)
  const accepted = await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), {
    version: 1,
    draft: said,
    goods,
    answer,
  })
  expect(accepted.status).toBe(200)
  const own = (list: { planId: string }[]) => list.filter(({ planId }) => planId === plan.id)
  const [line] = own((await send(test_, 'GET', path('/expected'))).body) as ExpectedLine[]
  expect(line).toMatchObject({ name: 'Crate of six', supplierId, packs: 1, units: 6, arrived: null, lots: [] })
  const listed = ((await send(test_, 'GET', path('/plans'))).body as PlanRow[]).find(({ id }) => id === plan.id)
  const { status, gap } = answer
  expect(listed).toMatchObject({ answer: { status, gap, short: 0 }, nextDelivery: line?.day, overdue: 0, planned: 1 })
  expect(listed?.answer?.total).toBeCloseTo(answer.cost.total, 9)
  const [planned] = own((await send(test_, 'GET', path('/planned'))).body) as PlannedFabrication[]
  expect(planned).toMatchObject({ units: 6, lotId: null, expectedLineId: line?.id, real: null })
  expect(planned?.money).toBeCloseTo(answer.cost.wholes + answer.cost.labour + answer.cost.consumables, 6)
  expect(planned?.portions).toMatchObject([{ productId: product.id, quantity: 12 }])

  const item = ((await send(test_, 'GET', path('/items'))).body as Item[])[0] as Item
  const lot = {
    id: newId(),
    itemId: item.id,
    supplierId,
    code: 'L-1',
    gtin: null,
    price: { amount: 39, per: 'case' },
    extras: null,
    pieces: 6,
    receivedOn: FIRST,
    productionDate: null,
    useBy: addDays(FIRST, 3),
    openedOn: null,
    isFinished: false,
    notes: null,
    expectedLineId: line?.id,
    cases: [{ id: newId(), label: null, serial: null, invoiceWeight: 12_600, weighed: null }],
    checks: [],
  }
  expect(
    (await send(test_, 'POST', path('/lots'), { ...lot, id: newId(), expectedLineId: newId() })).body.issues,
  ).toEqual([{ path: 'expectedLineId', message: 'is no line of an order of this kitchen' }])
  expect((await send(test_, 'POST', path('/lots'), lot)).status).toBe(201)
  const read: Plan = (await send(test_, 'GET', path(`/plans/${plan.id}`))).body
  expect(read.accepted?.expected[0]?.lots).toEqual([{ id: lot.id, code: 'L-1', pieces: 6 }])
  expect(read.accepted?.planned[0]?.lotId).toBe(lot.id)
  const withdrawn = await send(test_, 'DELETE', path(`/plans/${plan.id}/acceptance?version=2`))
  expect([withdrawn.status, withdrawn.body.issues[0].message]).toEqual([
    400,
    'cannot be taken back: some of it has come',
  ])

  // What one plan holds is there for no other: its birds, its hours and its room in the cold.
  const goodsNow = async () => (await send(test_, 'GET', path(`/plan-goods?products=${product.id}`))).body as PlanGoods
  const before = await goodsNow()
  expect(before.stock).toMatchObject([{ lotId: lot.id, units: 0, held: 6 }])
  expect(before.held.plans).toContain(plan.name)
  expect(before.held.minutes).toContainEqual({ day: planned?.day, minutes: planned?.minutes })
  const { request } = planRequest(draft(), before, kitchen.currency)
  expect(request.stock).toMatchObject([{ quantity: 0 }])

  const start = { ...startOf(planned?.styleId as string), plannedId: planned?.id, lotId: lot.id }
  const began = await send(test_, 'POST', path('/fabrications'), start)
  expect(began.status).toBe(201)
  const again = await send(test_, 'POST', path('/fabrications'), { ...start, id: newId() })
  expect([again.status, again.body.issues[0].path]).toEqual([400, 'plannedId'])
  const after: Plan = (await send(test_, 'GET', path(`/plans/${plan.id}`))).body
  expect(after.accepted?.planned[0]).toMatchObject({ fabricationId: start.id, real: { isClosed: false, units: 6 } })
  const ofRecord: PlannedFabrication[] = (await send(test_, 'GET', path(`/planned?fabrication=${start.id}`))).body
  expect(ofRecord.map(({ id }) => id)).toEqual([planned?.id])
  expect((await send(test_, 'GET', path(`/planned?fabrication=${newId()}`))).body).toEqual([])
  const edited = await send(test_, 'PUT', path(`/planned/${planned?.id}`), { cookId: null, isDropped: true })
  expect([edited.status, edited.body.issues[0].message]).toEqual([400, 'has begun'])
  expect((await send(test_, 'DELETE', path(`/plans/${plan.id}`))).body.issues[0].path).toBe('id')

  // Finished, the logbook has what was planned beside it.
  const { record } = (await send(test_, 'GET', path(`/fabrications/${start.id}`))).body as FabricationState
  const closed = await send(test_, 'PUT', path(`/fabrications/${start.id}`), editOf(record, { status: 'closed' }))
  expect(closed.status).toBe(200)
  const { rows } = (await send(test_, 'GET', path(`/logbook/records?counted=all&id=${start.id}`))).body as LogbookPage
  expect(rows[0]?.planned).toEqual({ planId: plan.id, plan: plan.name, units: 6, minutes: planned?.minutes })
})

test('what is left of a plan is planned anew in its place: its work is dropped, its orders come as is known now', async () => {
  const goodsFor = async (replaces: string | null) =>
    (
      await send(
        test_,
        'GET',
        path(`/plan-goods?products=${product.id}${replaces === null ? '' : `&replaces=${replaces}`}`),
      )
    ).body as PlanGoods
  const accept = async (plan: Plan, of: PlanDraft, own: PlanGoods) => {
    const { request, pins } = planRequest(of, own, kitchen.currency)
    const answer = planOrders(request, await loadSolver(), { pins, seconds: 10 })
    const body = { version: plan.version, draft: of, goods: own, answer }
    return { answer, ...(await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), body)) }
  }
  const first = draft({ lotsLeft: goods.stock.map(({ lotId }) => lotId) })
  const old = (await accept(await create(first), first, await goodsFor(null))).body as Plan
  const [line] = old.accepted?.expected ?? []
  expect(line).toMatchObject({ packs: 1, units: 6 })
  // To others it is held; to the plan of what is left it is on its way.
  expect((await goodsFor(null)).held.plans).toContain(old.name)
  const own = await goodsFor(old.id)
  expect(own.coming).toMatchObject([{ expectedLineId: line?.id, packs: 1, units: 6 }])
  expect(own.held.minutes).toEqual((await goodsFor(null)).held.minutes.slice(0, -1))

  // The crate comes a day later than it was ordered, and ten covers more come to eat.
  const day = addDays(FIRST, 1)
  const rest = draft({
    ...{ lotsLeft: own.stock.map(({ lotId }) => lotId), replaces: old.id },
    covers: [{ day, covers: 50 }],
    coming: [{ expectedLineId: line?.id as string, day, packs: 1 }],
  })
  const anew = await accept(await create(rest), rest, own)
  expect(anew.status).toBe(200)
  expect(anew.answer.cost.wholes).toBe(anew.answer.orders.length > 0 ? anew.answer.cost.wholes : 0)
  const now = anew.body as Plan
  const ofLine = now.accepted?.planned.filter(({ expectedLineId }) => expectedLineId === line?.id) ?? []
  expect(ofLine.reduce((sum, { units }) => sum + units, 0)).toBe(6)
  expect(now.accepted?.expected.find(({ id }) => id === line?.id)).toMatchObject({ planId: old.id, day })
  const before = (await send(test_, 'GET', path(`/plans/${old.id}`))).body as Plan
  expect(before.accepted?.planned.every(({ isDropped }) => isDropped)).toBe(true)
  const taken = await send(test_, 'DELETE', path(`/plans/${old.id}/acceptance?version=${before.version}`))
  expect([taken.status, taken.body.issues[0].message]).toEqual([
    400,
    `cannot be taken back: ${now.name} stands in its place`,
  ])
  const second = await accept(await create(rest), rest, own)
  expect([second.status, second.body.issues[0].path]).toEqual([400, 'draft.replaces'])
  // What is left of that is left of both: what the first ordered is still on its way.
  expect((await goodsFor(now.id)).coming.map(({ expectedLineId }) => expectedLineId)).toContain(line?.id)
  // Cancelled, what was left of the plan before is cut again.
  expect((await send(test_, 'DELETE', path(`/plans/${now.id}/acceptance?version=${now.version}`))).status).toBe(200)
  const again = (await send(test_, 'GET', path(`/plans/${old.id}`))).body as Plan
  expect(again.accepted?.planned.some(({ isDropped }) => isDropped)).toBe(false)

  // What has come since was not known when it was planned.
  await send(test_, 'PUT', path(`/expected/${line?.id}`), { arrived: 1 })
  const late = await accept(await create(rest), rest, own)
  expect([late.status, late.body.issues[0].path]).toEqual([400, 'goods.coming'])
  const none = { ...rest, replaces: newId() }
  const noPlan = await accept(await create(none), none, own)
  expect([noPlan.status, noPlan.body.issues[0].path]).toEqual([400, 'draft.replaces'])
})

test('a schedule is kept with its plan: who begins what when is said of what is planned', async () => {
  const settings = {
    ...{ boards: 2, saws: 1, stoves: 2, begins: 480, service: 1080, buffer: 30, boardMinutes: 30, packMinutes: 10 },
    ...{ setHours: 8, stockHours: 6, cleanDown: 10, against: 20 },
  }
  const cook = { id: newId(), name: 'Thessaly', wagePerHour: 21.4, week: null, skills: null }
  await send(test_, 'POST', path('/cooks'), cook)
  const plan = await create()
  const put = (version: number, tasks: object[]) =>
    send(test_, 'PUT', path(`/plans/${plan.id}/schedule`), {
      version,
      schedule: { settings, late: [], days: [], tasks },
    })
  expect((await put(1, [])).body.issues[0].message).toBe('is not accepted: there is nothing to do yet')
  const answer = await answerFor(draft())
  const accepted = await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), {
    version: 1,
    draft: draft(),
    goods,
    answer,
  })
  const planned = (accepted.body as Plan).accepted?.planned[0]
  const task = (id: string, start: number, kind = 'cut') => ({
    ...{ id, jobId: planned?.id, what: 'Supremes', kind, upTo: kind === 'cut' ? 3 : null },
    ...{ start, end: start + 30, cookId: cook.id, station: null },
  })
  const kept = await put(2, [task('b', 1440 + 520, 'pack'), task('a', 1440 + 490)])
  expect((kept.body as Plan).schedule?.tasks).toHaveLength(2)
  expect((kept.body as Plan).accepted?.planned[0]).toMatchObject({
    begins: { day: addDays(FIRST, 1), minute: 490, cookId: cook.id },
    cookId: null,
  })
  const calendar = (suffix: string) =>
    test_.app.inject({ method: 'GET', url: path(`/plans/${plan.id}/schedule.ics${suffix}`) })
  const own = await calendar(`?cook=${cook.id}`)
  expect(own.headers['content-type']).toContain('text/calendar')
  expect(own.body.match(/BEGIN:VEVENT/g)).toHaveLength(2)
  expect((await calendar(`?cook=${newId()}`)).statusCode).toBe(404)
  const paper = (query: string) =>
    test_.app.inject({ method: 'GET', url: path(`/plans/${plan.id}/schedule.pdf${query}`) })
  const sizes = { '': /595\.28 841\.89/, '?paper=LETTER': /612 792/, [`?cook=${cook.id}&paper=A4`]: /595\.28 841\.89/ }
  for (const [query, size] of Object.entries(sizes)) {
    const printed = await paper(query)
    expect([printed.statusCode, printed.headers['content-type']]).toEqual([200, 'application/pdf'])
    expect(printed.rawPayload.toString('latin1')).toMatch(size)
  }
  expect((await paper(`?cook=${newId()}`)).statusCode).toBe(404)
  expect((await put(2, [])).status).toBe(409)
  await followed({ plan, cookId: cook.id, day: addDays(FIRST, 1) })
  const standing = async () => (await send(test_, 'GET', path('/schedules'))).body
  expect(await standing()).toEqual([{ planId: plan.id, lateMinutes: 0 }])
  // It serves on the second day, half an hour before six: packed at seven it is an hour and a half late.
  await put(3, [task(`${planned?.id} pack 1`, 1440 + 1110, 'pack')])
  expect(await standing()).toEqual([{ planId: plan.id, lateMinutes: 90 }])
  await send(test_, 'DELETE', path(`/plans/${plan.id}/acceptance?version=4`))
  expect(await standing()).toEqual([])
  expect((await send(test_, 'GET', path(`/plans/${plan.id}`))).body.schedule).toBeNull()
})

/** What hands tell moves the tasks of a day, without meeting what is changed in the room of the schedule. */
async function followed({ plan, cookId, day }: { plan: Plan; cookId: string; day: string }) {
  const dayNow = async (): Promise<DaySchedule> =>
    (await send(test_, 'GET', path(`/day-schedule?day=${day}`))).body as DaySchedule
  const { tasks } = await dayNow()
  expect(tasks.map(({ id, state, start, end }) => [id, state, start, end])).toEqual([
    ['a', 'waiting', 490, 520],
    ['b', 'waiting', 520, 550],
  ])
  expect(tasks[0]).toMatchObject({ planId: plan.id, what: 'Supremes', cookId, fabricationId: null })
  const tell = (told: object) => send(test_, 'PUT', path(`/plans/${plan.id}/told`), told)
  const at = (minute: string) => `${day}T${minute}:00.000Z`
  const done = await tell({ taskId: 'b', begunAt: at('08:00'), doneAt: at('08:12') })
  expect([done.status, done.body.told, done.body.version]).toEqual([
    200,
    [{ taskId: 'b', begunAt: at('08:00'), doneAt: at('08:12') }],
    3,
  ])
  // By the clock of the kitchen it is an hour later in winter.
  expect((await dayNow()).tasks.find(({ id }) => id === 'b')).toMatchObject({ state: 'done', start: 540, end: 552 })
  expect((await tell({ taskId: 'z', begunAt: null, doneAt: null })).body.issues[0].path).toBe('taskId')
  expect((await tell({ taskId: 'b', begunAt: at('09:00'), doneAt: at('08:12') })).body.issues[0].path).toBe('doneAt')
  await tell({ taskId: 'b', begunAt: null, doneAt: null })
  expect((await dayNow()).tasks.every(({ state }) => state === 'waiting')).toBe(true)
}

test('what a style takes before and after the board is kept with it', async () => {
  const plan = await create()
  const answer = await answerFor(draft())
  await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), { version: 1, draft: draft(), goods, answer })
  const read = async () => (await send(test_, 'GET', path(`/plans/${plan.id}/work`))).body as StylesWork
  const [known] = await read()
  expect(known).toMatchObject({ work: null, minutesBy: [] })
  const work = {
    ...{ isFrozen: true, dryHours: 12, temperHours: 0, setHours: 0, cureHours: 0 },
    ...{ confitHours: 0, chillHours: 0, stockHours: 6, line: 3, carriers: 1 },
  }
  const put = (styleId: string | undefined, said: object) => send(test_, 'PUT', path(`/styles/${styleId}/work`), said)
  expect((await put(known?.styleId, work)).body).toEqual(work)
  expect((await read())[0]?.work).toEqual(work)
  expect((await put(known?.styleId, { ...work, line: 0 })).body.issues[0].path).toBe('line')
  expect((await put(newId(), work)).status).toBe(404)
  await send(test_, 'DELETE', path(`/plans/${plan.id}/acceptance?version=2`))
})

test('an acceptance that nothing came of is taken back whole', async () => {
  const plan = await create()
  const said = draft()
  const answer = await answerFor(said)
  await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), { version: 1, draft: said, goods, answer })
  const twice = await send(test_, 'POST', path(`/plans/${plan.id}/acceptance`), {
    version: 2,
    draft: said,
    goods,
    answer,
  })
  expect([twice.status, twice.body.issues[0].message]).toEqual([400, 'is accepted already'])
  const { body } = await send(test_, 'DELETE', path(`/plans/${plan.id}/acceptance?version=2`))
  expect(body).toMatchObject({ version: 3, accepted: null })
  const planned: PlannedFabrication[] = (await send(test_, 'GET', path('/planned'))).body
  expect(planned.some(({ planId }) => planId === plan.id)).toBe(false)
})

test('what cannot be planned is refused with its field', async () => {
  const bad: [Partial<PlanDraft> | object, string][] = [
    [{ days: 0 }, 'draft.days'],
    [{ service: 1 }, 'draft.service'],
    [{ menu: [{ productId: product.id, share: 2 }] }, 'draft.menu[0].share'],
    [
      {
        covers: [
          { day: FIRST, covers: 1 },
          { day: FIRST, covers: 2 },
        ],
      },
      'draft.covers[1]',
    ],
    [{ pins: [{ kind: 'cut', id: 'x', atLeast: 3, atMost: 2 }] }, 'draft.pins[0].atLeast'],
    [{ changes: [{ kind: 'cut', id: 'x', productId: null, field: 'price', value: 1 }] }, 'draft.changes[0].field'],
  ]
  for (const [changes, at] of bad) {
    const { status, body } = await send(test_, 'POST', path('/plans'), {
      id: newId(),
      name: 'x',
      draft: { ...draft(), ...changes },
    })
    expect([status, body.issues[0].path]).toEqual([400, at])
  }
  const stranger = await setUpKitchen(test_, 'Stranger')
  const plan = await create()
  expect((await send(test_, 'GET', path(`/plans/${plan.id}`, stranger.id))).status).toBe(404)
  const answer = await answerFor(draft())
  const foreign = { id: newId(), name: 'x', draft: draft() }
  await send(test_, 'POST', path('/plans', stranger.id), foreign)
  const refused = await send(test_, 'POST', path(`/plans/${foreign.id}/acceptance`, stranger.id), {
    version: 1,
    draft: draft(),
    goods,
    answer,
  })
  expect([refused.status, refused.body.issues[0].path]).toEqual([400, 'goods'])
})
