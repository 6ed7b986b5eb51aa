import { v7 as newId } from 'uuid'
import { openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'

let test_: TestApp
let kitchen: Awaited<ReturnType<typeof setUpKitchen>>
const path = (rest = '') => `/api/kitchens/${kitchen.id}${rest}`

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

test('a kitchen is changed, and its money stays', async () => {
  const edit = { name: 'Larch', units: 'imperial', decimalMark: 'comma', timeZone: 'America/Chicago', wagePerHour: 23 }
  expect((await send(test_, 'PUT', path(), edit)).body).toEqual({ ...kitchen, ...edit })
  expect((await send(test_, 'GET', path())).body).toEqual({ ...kitchen, ...edit })
  const refused = await send(test_, 'PUT', path(), { ...edit, currency: 'USD' })
  expect(refused.status).toBe(400)
  const zone = await send(test_, 'PUT', path(), { ...edit, timeZone: 'Lake Standard' })
  expect([zone.status, zone.body.issues[0].path]).toEqual([400, 'timeZone'])
})

test('a cook is changed; a name that is taken and a cook that is not there are refused', async () => {
  const [marit, bruno] = [newId(), newId()]
  await send(test_, 'POST', path('/cooks'), { id: marit, name: 'Marit', wagePerHour: 21 })
  await send(test_, 'POST', path('/cooks'), { id: bruno, name: 'Bruno', wagePerHour: 21 })
  const changed = await send(test_, 'PUT', path(`/cooks/${marit}`), {
    name: 'Marit Å',
    wagePerHour: 22.5,
    weekHours: null,
  })
  expect(changed.body).toEqual({ id: marit, name: 'Marit Å', wagePerHour: 22.5, weekHours: null })
  expect((await send(test_, 'GET', path('/cooks'))).body).toContainEqual(changed.body)
  const taken = await send(test_, 'PUT', path(`/cooks/${marit}`), { name: 'Bruno', wagePerHour: 22.5, weekHours: null })
  expect([taken.status, taken.body.issues[0].path]).toEqual([409, 'name'])
  expect(
    (await send(test_, 'PUT', path(`/cooks/${newId()}`), { name: 'X', wagePerHour: 1, weekHours: null })).status,
  ).toBe(404)
})
