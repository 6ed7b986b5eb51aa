import { addDays } from '@fleam/core/calendar'
import type { PlanGoods } from '@fleam/core/planning'
import { v7 as newId } from 'uuid'
import { sixChickens } from '../../../core/test/documents.ts'
import { send } from '../../test/harness.ts'
import { openPlanKitchen, type PlanKitchen } from '../../test/plan-kitchen.ts'

let own: PlanKitchen
const today = new Date().toISOString().slice(0, 10)

beforeAll(async () => {
  own = await openPlanKitchen()
})
afterAll(() => own.test.close())

/** Records of six chickens each, so many days ago: 12.45 kg of them, of which 0.7 of 5.2 kg of bones are used. */
async function importRecords(daysAgo: readonly number[]) {
  const style = 'Supremes and boneless thighs'
  const piles = sixChickens().piles.map((pile) => (pile.name === 'bones' ? { ...pile, name: 'bones and back' } : pile))
  const records = daysAgo.map((days) => ({
    id: newId(),
    document: { ...sixChickens({ style, piles, offers: [] }), meta: { date: addDays(today, -days) } },
  }))
  const payload = { format: 'fleam/logbook', version: 1, records }
  const { body } = await own.test.app.inject({ method: 'POST', url: own.path('/logbook/import'), payload })
  if (body.includes('problem')) throw new Error(body)
}

const usedOf = async (name: string) => {
  const { body } = await send(own.test, 'GET', own.path(`/plan-goods?products=${own.product.id}`))
  return (body as PlanGoods).products.find((product) => product.name.endsWith(name))?.usedPerWeek ?? null
}

test('what the kitchen uses in a week is that of its busiest of the last eight, from three weeks on', async () => {
  // Two of them in one week, one in the week before, and one that is too long ago.
  await importRecords([1, 3, 9, 70])
  expect(await usedOf('bones and back')).toBeNull()
  await importRecords([20])
  // Two records in the busiest week; the style says nothing of what is used of its bones, so all of them are.
  const used = await usedOf('bones and back')
  expect(used?.source).toBe('own')
  expect(used?.value).toBeGreaterThan(8)
  const before = used?.value as number
  await importRecords([2])
  expect(((await usedOf('bones and back'))?.value as number) / before).toBeCloseTo(1.5, 2)
  // What goes into the bin is of no use, however much of it there is.
  expect((await usedOf('bin'))?.value).toBe(0)
})
