import type { Cook } from '@fleam/contract/kitchen/schemas'
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
  const edit = {
    ...{ name: 'Larch', units: 'imperial', decimalMark: 'comma', timeZone: 'America/Chicago', wagePerHour: 23 },
    lightPlates: 'by-weight',
  }
  expect((await send(test_, 'PUT', path(), edit)).body).toEqual({ ...kitchen, ...edit })
  expect((await send(test_, 'GET', path())).body).toEqual({ ...kitchen, ...edit })
  // Left out, what a light plate is stays as it is.
  const { lightPlates: _light, ...before } = edit
  expect((await send(test_, 'PUT', path(), before)).body).toEqual({ ...kitchen, ...edit })
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
    week: null,
    skills: null,
  })
  expect(changed.body).toEqual({ id: marit, name: 'Marit Å', wagePerHour: 22.5, week: null, skills: null })
  expect((await send(test_, 'GET', path('/cooks'))).body).toContainEqual(changed.body)
  const taken = await send(test_, 'PUT', path(`/cooks/${marit}`), {
    name: 'Bruno',
    wagePerHour: 22.5,
    week: null,
    skills: null,
  })
  expect([taken.status, taken.body.issues[0].path]).toEqual([409, 'name'])
  expect(
    (await send(test_, 'PUT', path(`/cooks/${newId()}`), { name: 'X', wagePerHour: 1, week: null, skills: null }))
      .status,
  ).toBe(404)
})

test('the weeks of several cooks change together, or not at all', async () => {
  for (const name of ['Marit', 'Bruno']) {
    await send(test_, 'POST', path('/cooks'), { id: newId(), name, wagePerHour: 21 })
  }
  const cooks: Cook[] = (await send(test_, 'GET', path('/cooks'))).body
  const [first, second] = cooks as [Cook, Cook]
  const week = [{ day: 2, from: 480, until: 720 }]
  const put = (said: object[]) => send(test_, 'PUT', path('/cook-weeks'), { cooks: said })
  const stranger = await put([
    { id: first.id, week, skills: null },
    { id: newId(), week, skills: null },
  ])
  expect([stranger.status, stranger.body.issues[0].path]).toEqual([400, 'cooks[1].id'])
  expect((await send(test_, 'GET', path('/cooks'))).body).toEqual(cooks)
  const changed = await put([
    { id: first.id, week, skills: ['fish'] },
    { id: second.id, week: [], skills: null },
  ])
  expect((changed.body as Cook[]).find(({ id }) => id === first.id)).toMatchObject({ week, skills: ['fish'] })
  const backwards = await put([{ id: first.id, week: [{ day: 1, from: 700, until: 600 }], skills: null }])
  expect(backwards.body.issues[0].path).toBe('cooks[0].week[0].until')
})
