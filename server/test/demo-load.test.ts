import type { FabricationRow } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Plan, PlannedFabrication, PlanRow } from '@fleam/core/plans'
import { loadDemo } from '@fleam/demo'
import { openTestApp, type TestApp } from './harness.ts'

/** A solver that answers nothing, as on a machine that is too busy: loading asks none. */
jest.mock('highs', () => ({
  __esModule: true,
  default: async () => ({
    solve: () => {
      throw new Error('The solver was asked')
    },
  }),
}))

/** Saturday evening: most of the week is over. */
const SATURDAY = new Date('2026-12-05T18:00:00Z')
const SUNDAY = new Date('2026-12-06T09:00:00Z')

let test_: TestApp
let url: string
const ownFetch = globalThis.fetch
/** Requests until the program is killed: the last one reaches the server, and its answer nobody. */
let left = Number.POSITIVE_INFINITY

beforeAll(async () => {
  test_ = await openTestApp()
  url = await test_.app.listen({ port: 0, host: '127.0.0.1' })
  globalThis.fetch = async (...parameters) => {
    const answer = await ownFetch(...parameters)
    if (--left > 0) return answer
    await answer.text()
    throw new Error('killed')
  }
})
afterAll(async () => {
  globalThis.fetch = ownFetch
  await test_.close()
})

const read = async <T>(path: string): Promise<T> => (await ownFetch(url + path)).json() as Promise<T>

test('is loaded without a solver, killed after every few requests and gone on with the day after', async () => {
  let kills = 0
  for (let reach = 1; ; reach += 1 + Math.floor(reach / 4)) {
    left = reach
    try {
      await loadDemo(url, reach < 90 ? SATURDAY : SUNDAY)
      break
    } catch (error) {
      if ((error as Error).message !== 'killed') throw error
      kills++
    }
  }
  left = Number.POSITIVE_INFINITY
  expect(kills).toBeGreaterThan(12)
  const kitchens = await read<Kitchen[]>('/api/kitchens')
  expect(kitchens.map(({ name }) => name).sort()).toEqual(['Goods Shed School', 'Larch Halt'])
  const base = `/api/kitchens/${kitchens.find(({ name }) => name === 'Larch Halt')?.id}`
  const records = await read<FabricationRow[]>(`${base}/fabrications`)
  expect(records.filter(({ status }) => status === 'open')).toHaveLength(1)
  const rows = await read<PlanRow[]>(`${base}/plans`)
  expect(Object.fromEntries(rows.map(({ name, acceptedAt }) => [name, acceptedAt !== null]))).toEqual({
    'The feast of the first snow': true,
    'The week': true,
    'The week after': false,
  })
  const week = await read<Plan>(`${base}/plans/${rows.find(({ name }) => name === 'The week')?.id}`)
  const { planned = [], expected = [] } = week.accepted ?? {}
  const isPast = ({ day }: Pick<PlannedFabrication, 'day'>) => day < '2026-12-05'
  expect(planned.filter(isPast).every(({ real }) => real?.isClosed)).toBe(true)
  expect(planned.filter(isPast).length).toBeGreaterThan(3)
  expect(expected.filter(isPast).every(({ lots, arrived }) => lots.length === 1 || arrived !== null)).toBe(true)
  expect(week.schedule?.tasks.length).toBeGreaterThan(20)
}, 300_000)
