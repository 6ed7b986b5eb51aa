import { editOf as wholeEdit } from '@fleam/contract/fabrication/edit'
import type { FabricationRow, FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Item } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import {
  openTestApp,
  send,
  sendFacts,
  setUpKitchen,
  startOf,
  startSixChickens,
  type TestApp,
  weighing,
} from '../../test/harness.ts'

/** An edit that may hold anything, right or wrong. */
const editOf = ({ record }: FabricationState, changes: object = {}) => ({ ...wholeEdit(record), ...changes })

let test_: TestApp
let kitchen: Kitchen
const path = (suffix = '') => `/api/kitchens/${kitchen.id}${suffix}`

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

const rows = async (): Promise<FabricationRow[]> => (await send(test_, 'GET', path('/fabrications'))).body

async function styleId(): Promise<string> {
  const items: Item[] = (await send(test_, 'GET', path('/items'))).body
  return items[0]?.styles[0]?.id as string
}

test('open fabrications come first, then the newest', async () => {
  const ids: string[] = []
  for (const startedAt of ['2026-11-20T08:00:00.000Z', '2026-11-22T08:00:00.000Z', '2026-11-21T08:00:00.000Z']) {
    const start = { ...startOf(await styleId()), startedAt }
    const { body } = await send(test_, 'POST', path('/fabrications'), start)
    ids.push(start.id)
    if (ids.length > 1) await send(test_, 'PUT', path(`/fabrications/${start.id}`), editOf(body, { status: 'closed' }))
  }
  expect((await rows()).map((row) => row.id)).toEqual([ids[0], ids[1], ids[2]])
})

test('an open one says how it will end, a closed one has ended', async () => {
  const state = await startSixChickens(test_, kitchen)
  const pile = state.record.piles[0]?.id as string
  await sendFacts(test_, kitchen, weighing(state.record.id, pile, 300))
  const [open] = await rows()
  expect(open?.document.piles[0]?.pieces).toEqual([300])
  // One is served, eleven are still to come, and the pile weighs what the style expects of it.
  expect(open?.expected?.piles[0]).toMatchObject({ portions: 12 })
  expect(open?.expected?.piles[0]?.weight).toBeCloseTo(0.27 * 12_540, 6)
  expect(open?.expected?.piles[2]?.weight).toBeCloseTo(0.135 * 12_540, 6)
  await send(test_, 'PUT', path(`/fabrications/${state.record.id}`), editOf(state, { status: 'closed' }))
  expect((await rows())[0]?.expected).toBeNull()
})

test('the wage is the cook’s own where a cook is named', async () => {
  const cook = { id: newId(), name: 'Marit', wagePerHour: 27.5 }
  await send(test_, 'POST', path('/cooks'), cook)
  const { body } = await send(test_, 'POST', path('/fabrications'), { ...startOf(await styleId()), cookId: cook.id })
  expect(body.record).toMatchObject({ cook: 'Marit', labour: [{ ratePerHour: 27.5 }] })
  const stranger = await send(test_, 'POST', path('/fabrications'), { ...startOf(await styleId()), cookId: newId() })
  expect([stranger.status, stranger.body.issues[0].path]).toEqual([404, 'cookId'])
})

test('closing and opening again keeps every reading and forgets the end', async () => {
  const state = await startSixChickens(test_, kitchen)
  const pile = state.record.piles[0]?.id as string
  const own = path(`/fabrications/${state.record.id}`)
  await sendFacts(test_, kitchen, weighing(state.record.id, pile, 300))
  const closed = await send(test_, 'PUT', own, editOf(state, { status: 'closed' }))
  // A device that was offline delivers late: a fact is a fact, also for a closed record.
  expect((await sendFacts(test_, kitchen, weighing(state.record.id, pile, 290, 2))).status).toBe(200)
  const open = await send(test_, 'PUT', own, editOf(closed.body, { status: 'open' }))
  expect(open.body.record).toMatchObject({ status: 'open', closedAt: null, version: 3 })
  expect(open.body.facts).toHaveLength(2)
})

test('many edits at once: one wins, the others are told', async () => {
  const state = await startSixChickens(test_, kitchen)
  const answers = await Promise.all(
    Array.from({ length: 8 }, (_, index) =>
      send(test_, 'PUT', path(`/fabrications/${state.record.id}`), editOf(state, { notes: `edit ${index}` })),
    ),
  )
  const winners = answers.filter((answer) => answer.status === 200)
  expect(winners).toHaveLength(1)
  expect(answers.filter((answer) => answer.status === 409)).toHaveLength(7)
  const now = await send(test_, 'GET', path(`/fabrications/${state.record.id}`))
  expect(now.body.record.notes).toBe(winners[0]?.body.record.notes)
})

for (const [what, changes, field] of [
  [
    'no primary pile',
    (state: FabricationState) => ({
      piles: state.record.piles.map((pile) => ({ ...pile, class: 'waste', valuePerKg: null })),
    }),
    'piles',
  ],
  [
    'a pile named twice',
    (state: FabricationState) => ({ piles: state.record.piles.map((pile) => ({ ...pile, name: 'same' })) }),
    'piles[1].name',
  ],
  [
    'an offer for a by-product',
    (state: FabricationState) => {
      const pileId = state.record.piles.find((pile) => pile.class === 'by-product')?.id
      return { offers: [{ name: 'x', pileId, price: { amount: 1, per: 'piece' }, pieceWeight: 1 }] }
    },
    'offers[0].pileId',
  ],
  [
    'a share of two',
    (state: FabricationState) => ({ piles: state.record.piles.map((pile) => ({ ...pile, usedShare: 2 })) }),
    'piles[0].usedShare',
  ],
  ['a version of nought', () => ({ version: 0 }), 'version'],
  ['text for minutes', () => ({ labour: [{ task: 'cut', minutes: 'ten', ratePerHour: 1 }] }), 'labour[0].minutes'],
] as const) {
  test(`an edit with ${what} is refused by field and changes nothing`, async () => {
    const state = await startSixChickens(test_, kitchen)
    const own = path(`/fabrications/${state.record.id}`)
    const { status, body } = await send(test_, 'PUT', own, editOf(state, changes(state)))
    expect([status, body.code]).toEqual([400, 'invalid-input'])
    expect(body.issues.map((issue: { path: string }) => issue.path)).toContain(field)
    expect((await send(test_, 'GET', own)).body).toEqual(state)
  })
}

test('a kitchen that is not there has nothing', async () => {
  const nowhere = `/api/kitchens/${newId()}`
  expect((await send(test_, 'GET', `${nowhere}/fabrications`)).status).toBe(404)
  expect((await send(test_, 'POST', `${nowhere}/fabrications`, startOf(newId()))).status).toBe(404)
  expect((await send(test_, 'GET', '/api/kitchens/1/fabrications')).body.issues[0].path).toBe('kitchenId')
})
