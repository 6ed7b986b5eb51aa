import cases from '../../../core/cases/last-day.json'
import { openTestApp, send, type TestApp } from '../../test/harness.ts'

let house: TestApp
beforeAll(async () => {
  house = await openTestApp()
})
afterAll(() => house.close())

const lastDay = (request: object) => send(house, 'POST', '/api/last-day', request)

test('every worked case is answered as it was worked', async () => {
  for (const { name, input, expect: expected } of cases) {
    const { status, body } = await lastDay(input)
    expect({ name, status, ...body }).toEqual({ name, status: 200, ...expected })
  }
})

const poultry = { made: '2026-12-01', days: 2, months: 9, openedDays: 2 }

test.each([
  ['no day', { ...poultry, made: '2026-02-30' }, 'made'],
  ['a day that nobody means', { ...poultry, made: '2999-01-01' }, 'made'],
  ['nothing', { ...poultry, days: 0 }, 'days'],
  ['half a day', { ...poultry, openedDays: 1.5 }, 'openedDays'],
  ['an unknown event', { ...poultry, events: [{ what: 'boil', on: '2026-12-01' }] }, 'events[0].what'],
  ['a merge without the other’s day', { ...poultry, events: [{ what: 'merge', on: '2026-12-01' }] }, 'events[0].last'],
  ['a field that nobody knows', { ...poultry, day: 2 }, 'day'],
])('%s is refused with its field', async (_what, request, path) => {
  const { status, body } = await lastDay(request)
  expect(status).toBe(400)
  expect(body.issues).toEqual(expect.arrayContaining([expect.objectContaining({ path })]))
})
