import type { Product } from '@fleam/contract/buying/schemas'
import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { LogbookPage } from '@fleam/contract/logbook/schemas'
import { addDays } from '@fleam/core/calendar'
import { type PlanDraft, type PlanGoods, planOrders, planRequest } from '@fleam/core/planning'
import type { ExpectedLine, Plan, PlannedFabrication, PlanRow } from '@fleam/core/plans'
import type { Item } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { send, setUpKitchen, startOf, type TestApp } from '../../test/harness.ts'
import { FIRST, openPlanKitchen, type PlanKitchen } from '../../test/plan-kitchen.ts'
import { loadSolver } from '../compute/solver.ts'

let test_: TestApp
let kitchen: Kitchen
let product: Product
let goods: PlanGoods
let supplierId: string
let path: PlanKitchen['path']
let draft: PlanKitchen['draft']
let answerFor: PlanKitchen['answerFor']
let create: PlanKitchen['create']

beforeAll(async () => {
  ;({ test: test_, kitchen, product, goods, supplierId, path, draft, answerFor, create } = await openPlanKitchen())
})
afterAll(() => test_.close())

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
