import type { OrderPlan } from '@fleam/core/planning'
import cases from '../../../core/cases/order-plan.json'
import { openTestApp, send, type TestApp } from '../../test/harness.ts'

let house: TestApp
beforeAll(async () => {
  house = await openTestApp()
})
afterAll(() => house.close())

const [one] = cases as [(typeof cases)[number]]
const plan = (changes: Record<string, unknown>) => send(house, 'POST', '/api/order-plan', { ...one.input, ...changes })
const refusal = async (changes: Record<string, unknown>) => {
  const { status, body } = await plan(changes)
  return [status, body.issues?.[0]?.path]
}

test('a plan is made beside the server, and answers what a page draws', async () => {
  const { status, body } = await plan({})
  expect(status).toBe(200)
  const made = body as OrderPlan
  expect(made.status).toBe('optimal')
  expect(made.cost.total).toBeCloseTo(one.expect.cost, 5)
  expect(made.orders.length).toBeGreaterThan(0)
}, 60_000)

test.each([
  [
    'a day that no calendar has, and another fault',
    { days: ['2026-02-30', '2026-03-01'], currency: 'euro', labour: { ratePerHour: 20, hours: [1, 1] } },
    'currency',
  ],
  [
    'days that are not consecutive',
    { days: ['2026-12-03', '2026-12-05'], labour: { ratePerHour: 20, hours: [1, 1] } },
    'days[1]',
  ],
  ['hours of other days', { labour: { ratePerHour: 20, hours: [1, 1] } }, 'labour.hours'],
  ['a day outside', { demand: [{ product: 'portion 0', day: '2026-12-09', quantity: 1 }] }, 'demand[0].day'],
  ['an unknown product', { demand: [{ product: 'dodo', day: '2026-12-03', quantity: 1 }] }, 'demand[0].product'],
  [
    'a negative quantity',
    { demand: [{ product: 'portion 0', day: '2026-12-03', quantity: -1 }] },
    'demand[0].quantity',
  ],
  ['an enormous number', { coldSpace: 1e12 }, 'coldSpace'],
  ['no number', { coldSpace: 'much' }, 'coldSpace'],
  ['certainty', { service: 1 }, 'service'],
  ['a thousand products', { products: Array(1000).fill(one.input.products[0]) }, 'products'],
  ['a name twice', { products: [...one.input.products, one.input.products[0]] }, 'products[12].name'],
  ['stock of nothing', { stock: [{ quantity: 1, useBy: '2026-12-03' }] }, 'stock[0]'],
  ['another version', { version: 2 }, 'version'],
  ['a field nobody knows', { speed: 1 }, 'speed'],
] as const)('%s is refused by its path', async (_what, changes, path) => {
  const [status, told] = await refusal(changes)
  expect([status, told]).toEqual([400, path])
})
