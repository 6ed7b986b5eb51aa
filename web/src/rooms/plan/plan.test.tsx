import { planOperations } from '@fleam/contract/planning/operations'
import { type OrderPlan, planOrders, planRequest } from '@fleam/core/planning'
import type { Plan } from '@fleam/core/plans'
import type { Schedule } from '@fleam/core/scheduling'
import { act, fireEvent, screen, within } from '@testing-library/react'
import { draft, goodsOf } from '../../../../core/test/plan-kitchen.ts'
import { loadSolver } from '../../../../core/test/solver.ts'
import { answered, LARCH_HALT, renderPart, touch } from '../../../test/render.tsx'
import { answerWith } from '../../../test/server.ts'
import type { PlanJobRequest, PlanMessage, ScheduleJobRequest, ScheduleMessage } from '../../workers/plan-protocol.ts'
import { AcceptedPlan } from './accepted-plan.tsx'
import { DraftRoom } from './draft-room.tsx'
import { Component as Plans } from './plans.tsx'

let asked: PlanJobRequest | null = null
let hear: (told: PlanMessage) => void = () => {}
const stop = jest.fn()
let hearSchedule: ((told: ScheduleMessage) => void) | null = null
let scheduled: ScheduleJobRequest | null = null
jest.mock('../../workers/plan-client.ts', () => ({
  warmPlanner: () => {},
  scheduleAside: (of: ScheduleJobRequest, listen: (told: ScheduleMessage) => void) => {
    scheduled = of
    hearSchedule = listen
    return () => {}
  },
  planAside: (of: PlanJobRequest, listen: (told: PlanMessage) => void) => {
    asked = of
    hear = listen
    return stop
  },
}))

const BASE = `/api/kitchens/${LARCH_HALT.id}`
const goods = goodsOf()
const plan: Plan = {
  id: '019b76da-a8f2-7000-8003-0000000000a1',
  name: 'Thursday',
  draft: draft(),
  version: 1,
  createdAt: '2026-12-01T09:00:00.000Z',
  updatedAt: '2026-12-01T09:00:00.000Z',
  accepted: null,
  schedule: null,
  told: [],
}
const answers = {
  [`GET ${BASE}/plan-goods`]: { body: goods },
  [`GET ${BASE}/plan-goods?`]: { body: goods },
  [`GET ${BASE}/products`]: { body: [{ id: 'thighs', name: 'Chicken: thighs' }] },
  [`PUT ${BASE}/plans/${plan.id}`]: { body: { ...plan, version: 2 } },
  [`POST ${BASE}/plans/${plan.id}/acceptance`]: { body: plan },
}

// Nobody waits for those who type: the clock is put forward.
beforeEach(() => void jest.useFakeTimers({ advanceTimers: true }))
afterEach(() => void jest.useRealTimers())
const paused = () => act(() => jest.advanceTimersByTimeAsync(450))
const tell = (told: PlanMessage) => act(async () => hear(told))
let solved: OrderPlan | null = null
/** The solver's answer to the plan, the same for every test. */
const answer = async () => {
  const { request, pins } = planRequest(plan.draft, goods, 'EUR')
  solved ??= planOrders(request, await loadSolver(), { pins, seconds: 10 })
  return solved
}

async function room() {
  const sent = answerWith(answers)
  renderPart(<DraftRoom plan={plan} />)
  await answered()
  await paused()
  return sent
}

test('a plan is made of what is asked, tells how far it is, and stops when it is told to', async () => {
  await room()
  expect(asked?.request.demand).toEqual([{ product: 'Chicken: supremes', day: '2026-12-04', quantity: 12 }])
  expect(screen.getByText('Making the plan …')).toBeTruthy()
  await tell({ type: 'progress', progress: { best: 62, bound: 60, gap: 0.03 } })
  expect(screen.getByText(/Best so far €62\.00, not below €60\.00/)).toBeTruthy()
  await touch(screen.getByRole('button', { name: 'Stop' }))
  expect(stop).toHaveBeenCalled()
  await touch(screen.getByRole('button', { name: 'Make it again' }))
  await paused()
  expect(screen.getByText('Making the plan …')).toBeTruthy()
})

test('the answer is a sentence with its money, orders, cutting and other aims; accepted, it is sent as it is shown', async () => {
  const sent = await room()
  const made = await answer()
  await tell({ type: 'plan', plan: made, isWhole: true, seconds: 3 })
  await tell({ type: 'aim', aim: 'ready', plan: null })
  expect(screen.getByText(/^Buy /).textContent).toContain('€')
  const orders = screen.getByRole('region', { name: 'Orders' })
  expect(within(orders).getAllByRole('article')).toHaveLength(made.orders.length)
  const aims = screen.getByRole('region', { name: 'Answer' })
  expect(within(aims).getByText('cannot be done')).toBeTruthy()
  await touch(screen.getByRole('button', { name: 'Accept this plan' }))
  const body = sent.find(({ path }) => path.endsWith('/acceptance'))?.body
  expect(body).toMatchObject({ version: 1, answer: { cost: made.cost }, goods: { wholes: goods.wholes } })
})

test('an answer belongs to its question: what is typed since turns Accept off, and is kept when one leaves', async () => {
  const sent = answerWith(answers)
  const { unmount } = renderPart(<DraftRoom plan={plan} />)
  await answered()
  await paused()
  await tell({ type: 'plan', plan: await answer(), isWhole: true, seconds: 3 })
  const accept = () => screen.getByRole('button', { name: 'Accept this plan' }) as HTMLButtonElement
  expect(accept().disabled).toBe(false)
  fireEvent.change(screen.getByLabelText('Covers on Thu 3 Dec'), { target: { value: '20' } })
  expect(accept().disabled).toBe(true)
  expect(screen.getByText(/What stands here answers what was asked before/)).toBeTruthy()
  unmount()
  await answered()
  expect(sent.find(({ method }) => method === 'PUT')?.body).toMatchObject({ draft: { covers: [{}, { covers: 20 }] } })
})

const ITEM = {
  ...{ id: 'chicken', name: 'Chicken', species: 'poultry', unitName: { one: 'bird', many: 'birds' } },
  unitWeight: { low: 1600, usual: 2100, high: 2600 },
  styles: [...new Set(goods.cuts.map(({ styleId }) => styleId))].map((id) => ({
    ...{ id, name: 'Supremes', minutesPerUnit: 9, steps: [], piles: [], options: [], consumables: [] },
  })),
}

test('before it is accepted it is tried whether the cooks can do it', async () => {
  answerWith({
    ...answers,
    [`GET ${BASE}/items`]: { body: [ITEM] },
    [`GET ${BASE}/cooks`]: { body: [] },
    [`GET ${BASE}/plans/${plan.id}/work`]: { body: [] },
  })
  renderPart(<DraftRoom plan={plan} />)
  await answered()
  await paused()
  await tell({ type: 'plan', plan: await answer(), isWhole: true, seconds: 3 })
  await answered()
  expect(screen.getByText(/Trying whether the cooks can do it/)).toBeTruthy()
  const schedule = (changes: Partial<Schedule>): ScheduleMessage => ({
    type: 'schedule',
    schedule: {
      ...{ status: 'best-found', tasks: [], cleanDowns: [], lateMinutes: 0, cleanMinutes: 0, holdMinutes: 0 },
      ...{ bound: { lateMinutes: 0 }, impossible: [], ...changes },
    },
  })
  const told = (changes: Partial<Schedule>) => act(async () => hearSchedule?.(schedule(changes)))
  const { request } = scheduled as unknown as ScheduleJobRequest
  const pack = request.tasks.find(({ due }) => due !== null)
  const due = pack?.due ?? 0
  const late = { id: pack?.id ?? '', start: due + 22, end: due + 32, cook: 'Marit', station: null }
  await told({ lateMinutes: 32, tasks: [late] })
  expect(screen.getByText(/The cooks cannot do all of .* in time/)).toBeTruthy()
  expect(screen.getByRole('button', { name: /^32(\.0)?\smin$/ })).toBeTruthy()
  await told({ lateMinutes: 0 })
  expect(screen.getByText(/no other plan: a schedule was found with nothing late/)).toBeTruthy()
  await told({ status: 'impossible', impossible: [{ task: 'x', why: 'beyond-the-horizon' }] })
  expect(screen.getByText(/The cooks cannot do it as it is/)).toBeTruthy()
})

test('a plan that may be far from the cheapest says so, asks before it is accepted, and offers a better one', async () => {
  const sent = await room()
  const made = await answer()
  const total = made.cost.total
  const unsure = { ...made, status: 'within-gap' as const, gap: 0.12, bound: total * 0.88 }
  await tell({ type: 'plan', plan: unsure, isWhole: true, seconds: 9.8 })
  expect(screen.getByText(/At most 12(\.0)?\s% above the cheapest possible. Looked for 10 s\./)).toBeTruthy()
  await touch(screen.getByRole('button', { name: 'Accept this plan' }))
  expect(screen.getByRole('alert').textContent).toContain('more than the cheapest possible')
  expect(sent.some(({ path }) => path.endsWith('/acceptance'))).toBe(false)
  // Looked further: nothing cheaper, but more is known of it; then a cheaper one, which is offered.
  await tell({ type: 'further' })
  await tell({ type: 'better', plan: { ...unsure, bound: total * 0.99, gap: 0.01 }, seconds: 69 })
  expect(screen.getByText(/At most 1(\.0)?\s% above the cheapest possible. Looked for 69 s\./)).toBeTruthy()
  const cheaper = { ...made, cost: { ...made.cost, total: total - 5 } }
  await tell({ type: 'better', plan: cheaper, seconds: 70 })
  await touch(screen.getByRole('button', { name: 'Show it' }))
  expect(screen.getByText(/Cheapest possible\./)).toBeTruthy()
  await touch(screen.getByRole('button', { name: 'Accept this plan' }))
  expect(sent.find(({ path }) => path.endsWith('/acceptance'))?.body).toMatchObject({
    answer: { cost: { total: total - 5 } },
  })
})

test('a plan of which nobody knows how good it is asks too, and one that leaves less short is offered before a cheaper one', async () => {
  await room()
  const made = await answer()
  const short = (quantity: number) => [
    { product: 'Chicken: supremes', day: '2026-12-04', quantity, because: ['no-source'] },
  ]
  const unknown = { ...made, status: 'within-gap' as const, gap: 1, bound: 0, short: short(6) }
  await tell({ type: 'plan', plan: unknown, isWhole: true, seconds: 9.8 })
  await touch(screen.getByRole('button', { name: 'Accept this plan' }))
  expect(screen.getByRole('alert').textContent).toContain('Nobody knows how good it is')
  // More short and cheaper is no better plan.
  await tell({ type: 'better', plan: { ...made, short: short(9), cost: { ...made.cost, total: 1 } }, seconds: 69 })
  expect(screen.queryByRole('button', { name: 'Show it' })).toBeNull()
  expect(screen.getByText(/Not known how good it is/)).toBeTruthy()
  const dearer = { ...made, short: short(2), cost: { ...made.cost, total: made.cost.total + 30 } }
  await tell({ type: 'better', plan: dearer, seconds: 70 })
  expect(screen.getByText(/A plan that leaves less short was found/).textContent).toMatch(/found: 2\D+instead of 6/)
  await touch(screen.getByRole('button', { name: 'Show it' }))
  expect(screen.getByText(/Cheapest possible\./)).toBeTruthy()
})

test('a draft without any dish says what to do, and asks for goods as the API takes it', async () => {
  const sent = answerWith(answers)
  renderPart(<DraftRoom plan={{ ...plan, draft: { ...plan.draft, menu: [] } }} />)
  await answered()
  expect(screen.getByText(/Say below who eats what/)).toBeTruthy()
  const { path } = sent.find(({ path: at }) => at.includes('/plan-goods')) as { path: string }
  const query = Object.fromEntries(new URL(path, 'http://x').searchParams)
  expect(planOperations.readPlanGoods.query.parse(query)).toEqual({ products: [], replaces: null })
})

test('covers that are changed are kept, and the plan is made again', async () => {
  const sent = await room()
  fireEvent.change(screen.getByLabelText('Covers on Thu 3 Dec'), { target: { value: '20' } })
  await paused()
  expect(asked?.request.demand.map(({ quantity }) => quantity)).toEqual([6, 12])
  await act(() => jest.advanceTimersByTimeAsync(400))
  await answered()
  expect(sent.find(({ method }) => method === 'PUT')?.body).toMatchObject({
    version: 1,
    draft: {
      covers: [
        { day: '2026-12-04', covers: 40 },
        { day: '2026-12-03', covers: 20 },
      ],
    },
  })
})

test('a line is held by touch, and what it rests on is said otherwise for this plan alone', async () => {
  await room()
  await tell({ type: 'plan', plan: await answer(), isWhole: true, seconds: 3 })
  const [hold] = screen.getAllByRole('button', { name: /^Fix amount/ })
  await touch(hold as HTMLElement)
  await touch(screen.getByText('None of it'))
  await paused()
  expect(asked?.pins).toMatchObject([{ atMost: 0 }])
  await touch(screen.getByRole('button', { name: /Yields and minutes/ }))
  const minutes = screen.getAllByLabelText(/^Minutes of Supremes/)[0] as HTMLInputElement
  fireEvent.change(minutes, { target: { value: '7' } })
  await paused()
  expect(asked?.request.cuts[0]?.minutes).toBe(7)
  expect(screen.getAllByText('for this plan').length).toBeGreaterThan(0)
})

test('an order goes to another day or to somebody else, and what is left out can be allowed again', async () => {
  await room()
  await tell({ type: 'plan', plan: await answer(), isWhole: true, seconds: 3 })
  const change = async (choice: string | RegExp) => {
    await touch(screen.getByRole('button', { name: /^Change the order from Ostravale Poultry Yard/ }))
    await touch(screen.getByText(choice))
    await paused()
  }
  await change(/^Another day than/)
  const [day] = asked?.pins ?? []
  expect(day).toMatchObject({ kind: 'whole', day: '2026-12-03', atMost: 0 })
  await touch(screen.getByRole('button', { name: 'Ostravale Poultry Yard on Thu 3 Dec: allow again' }))
  await change('Another supplier')
  // Both articles that they bring, on any day.
  expect(asked?.pins.map(({ kind, day: on }) => [kind, on])).toEqual([
    ['whole', null],
    ['whole', null],
  ])
  await touch(screen.getByRole('button', { name: 'Ostravale Poultry Yard: allow again' }))
  await paused()
  expect(asked?.pins).toEqual([])
})

test('a cut that is left out on a day can be allowed again', async () => {
  await room()
  await tell({ type: 'plan', plan: await answer(), isWhole: true, seconds: 3 })
  const board = screen.getByRole('region', { name: 'At the board' })
  await touch(within(board).getAllByRole('button', { name: /^Fix amount/ })[0] as HTMLElement)
  await touch(within(board).getByText(/^Another day than/))
  await paused()
  expect(asked?.pins).toMatchObject([{ kind: 'cut', atMost: 0, day: expect.any(String) }])
  await touch(within(board).getByRole('button', { name: /: allow again$/ }))
  await paused()
  expect(asked?.pins).toEqual([])
})

test('a plan that cannot keep to what is pinned says so, and what failed is told', async () => {
  await room()
  const made = await answer()
  await tell({ type: 'plan', plan: { ...made, status: 'refused' }, isWhole: true, seconds: 3 })
  expect(screen.getByText(/No plan keeps to all of this/)).toBeTruthy()
  expect(screen.queryByRole('button', { name: 'Accept this plan' })).toBeNull()
  await tell({ type: 'failed', message: 'out of memory' })
  expect(screen.getByRole('alert').textContent).toContain('out of memory')
})

test('an accepted plan says what came and what was really cut', async () => {
  answerWith(answers)
  const line = {
    id: 'e',
    planId: plan.id,
    plan: plan.name,
    supplierId: 'ostravale',
    supplier: 'Ostravale Poultry Yard',
    day: '2026-12-03',
    kind: 'whole' as const,
    articleId: 'crate',
    itemId: 'chicken',
    name: 'Crate of six',
    packs: 1,
    units: 6,
    price: 33,
    arrived: null,
    lots: [{ id: 'l', code: 'A-1', pieces: 5 }],
  }
  const planned = {
    id: 'p',
    planId: plan.id,
    plan: plan.name,
    styleId: 's',
    style: 'Supremes',
    itemId: 'chicken',
    item: 'Chicken',
    articleId: 'crate',
    supplierId: 'ostravale',
    day: '2026-12-03',
    units: 6,
    minutes: 64,
    portions: [{ productId: 'supremes', product: 'Chicken: supremes', quantity: 12 }],
    money: 60,
    cookId: null,
    lotId: 'l',
    expectedLineId: 'e',
    isDropped: false,
    begins: null,
    fabricationId: 'f',
    real: {
      startedAt: '2026-12-03T08:00:00.000Z',
      cookId: null,
      isClosed: true,
      ...{ lastAt: null, closedAt: '2026-12-03T09:10:00.000Z', unitsDone: 5 },
      units: 5,
      minutes: 70,
      portions: [{ productId: 'supremes', quantity: 10 }],
      money: 58,
    },
  }
  const accepted = {
    at: plan.createdAt,
    draft: plan.draft,
    goods,
    answer: await answer(),
    expected: [line],
    planned: [planned],
  }
  renderPart(<AcceptedPlan plan={{ ...plan, accepted }} accepted={accepted} />)
  expect(screen.getByText('1 of 6 short')).toBeTruthy()
  const real = screen.getByRole('region', { name: 'Planned and real' })
  expect(real.textContent).toContain('10planned 12')
  expect(real.textContent).toContain('€58.00planned €60.00')
  expect(within(real).getByRole('link', { name: 'finished' }).getAttribute('href')).toBe('/verdict/f')
})

test('plans are listed with how far they came; without any the first step is told', async () => {
  const row = {
    id: plan.id,
    name: 'Week',
    from: '2026-12-02',
    days: 7,
    acceptedAt: null,
    planned: 0,
    finished: 0,
    expected: 0,
    arrived: 0,
    answer: null,
    nextDelivery: null,
    overdue: 0,
  }
  answerWith({
    [`GET ${BASE}/plans`]: {
      body: [
        row,
        {
          ...{ ...row, id: 'y', name: 'Last', acceptedAt: plan.createdAt },
          ...{ planned: 3, finished: 2, expected: 4, arrived: 3, nextDelivery: '2026-12-04', overdue: 1 },
          answer: { total: 888, status: 'within-gap', gap: 0.04, short: 2 },
        },
      ],
    },
    [`GET ${BASE}/schedules`]: { body: [{ planId: 'y', lateMinutes: 42 }] },
  })
  renderPart(<Plans />)
  await answered()
  expect(screen.getByText('not accepted')).toBeTruthy()
  const last = screen.getByRole('link', { name: 'Last' }).closest('li') as HTMLElement
  expect(last.textContent).toMatch(/€888\.00 at most 4(\.0)?\s% above the cheapest possible/)
  expect(last.textContent).toContain('2 portions short')
  expect(last.textContent).toContain('1 should have been cut before today')
  const late = within(last).getByRole('link', { name: /42.* late in its schedule/ })
  expect(late.getAttribute('href')).toBe('/plan/y/schedule')
  expect(last.textContent).toContain(
    '3 of 4 order lines came, 2 of 3 fabrications finished; the next delivery is on Fri 4',
  )
  answerWith({ [`GET ${BASE}/plans`]: { body: [] } })
  renderPart(<Plans />)
  await answered()
  expect(screen.getByText('Nothing is planned yet')).toBeTruthy()
})
