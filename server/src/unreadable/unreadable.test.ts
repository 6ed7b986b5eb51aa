import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { UnreadableRow } from '@fleam/contract/unreadable/schemas'
import type { Plan, PlanRow } from '@fleam/core/plans'
import { USUAL_WORK } from '@fleam/core/scheduling'
import { v7 as newId } from 'uuid'
import { openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
const path = (rest: string) => `/api/kitchens/${kitchen.id}${rest}`
const get = async <T>(rest: string): Promise<T> => (await send(test_, 'GET', path(rest))).body

const FROM = '2026-12-03'
const draft = {
  ...{ from: FROM, days: 2, covers: [], menu: [], portions: [], hours: [], deliveries: [], stock: [], lotsLeft: [] },
  ...{ changes: [], pins: [], coldSpace: null, service: 0.5 },
}

beforeAll(async () => {
  test_ = await openTestApp(null, { isOddAllowed: true })
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

/** A plan with columns as a version before this one, or a hand, may have left them. */
async function planWith(name: string, columns: Record<string, unknown>): Promise<string> {
  const { body } = await send(test_, 'POST', path('/plans'), { id: newId(), name, draft })
  const { id } = body as Plan
  for (const [column, value] of Object.entries(columns)) {
    const kept = typeof value === 'object' ? JSON.stringify(value) : value
    await test_.database.sequelize.query(`UPDATE order_plans SET ${column} = :kept WHERE id = :id`, {
      replacements: { kept, id },
    })
  }
  return id
}

test('a schedule whose minutes make no sense takes no list with it, is told, and can be struck', async () => {
  const task = { id: 'a', jobId: newId(), what: '', kind: 'cut', upTo: 1, start: -1e300, end: 1e21, cookId: null }
  const id = await planWith('Week', {
    schedule: { settings: USUAL_WORK, late: [], days: [], tasks: [{ ...task, station: null }] },
    accepted: { draft, goods: {}, answer: {} },
    accepted_at: '2026-12-01 08:00:00',
  })
  for (const rest of ['/planned', '/plans', `/plans/${id}`, '/day-schedule', '/schedules', `/day-schedule?day=${FROM}`])
    expect([rest, (await send(test_, 'GET', path(rest))).status]).toEqual([rest, 200])
  expect((await test_.app.inject({ url: path(`/plans/${id}/schedule.ics`) })).statusCode).toBe(200)
  expect(await get<UnreadableRow[]>('/unreadable')).toEqual([{ kind: 'schedule', id, name: 'Week' }])

  expect((await send(test_, 'DELETE', path(`/unreadable/schedule/${id}`))).body).toEqual([])
  expect((await get<Plan>(`/plans/${id}`)).schedule).toBeNull()
})

test('a plan that cannot be read is left out alone; what can be read is not struck', async () => {
  const odd = await planWith('Odd', { draft: { from: 'no day' } })
  const sound = await planWith('Sound', {})
  expect((await get<PlanRow[]>('/plans')).map(({ name }) => name)).toEqual(['Sound'])
  expect(await get<UnreadableRow[]>('/unreadable')).toEqual([{ kind: 'plan', id: odd, name: 'Odd' }])
  expect((await send(test_, 'DELETE', path(`/unreadable/plan/${sound}`))).status).toBe(404)
  expect((await send(test_, 'DELETE', path(`/unreadable/plan/${odd}`))).body).toEqual([])
  expect((await get<PlanRow[]>('/plans')).map(({ name }) => name)).toEqual(['Sound'])
})
