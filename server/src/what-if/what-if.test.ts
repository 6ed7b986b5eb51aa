import { assumptionsOf, type FabricationState, type Kitchen, type WhatIf } from '@fleam/contract'
import { v7 as newId } from 'uuid'
import { openTestApp, send, setUpKitchen, startSixChickens, type TestApp } from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
let state: FabricationState
const path = (suffix = '', owner = kitchen.id) =>
  `/api/kitchens/${owner}/fabrications/${state.record.id}/what-ifs${suffix}`

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
  state = await startSixChickens(test_, kitchen)
})
afterAll(() => test_.close())

function dearer(amount: number, name = 'Dear birds'): WhatIf {
  const assumptions = assumptionsOf(state.record)
  const purchase = { ...assumptions.purchase, price: { amount, per: 'kg' as const } }
  return { id: newId(), name, assumptions: { ...assumptions, purchase }, createdAt: '2026-11-25T09:00:00.000Z' }
}

test('a what-if is kept beside the record, which does not change', async () => {
  const wish = dearer(5.2)
  expect((await send(test_, 'PUT', path(`/${wish.id}`), wish)).status).toBe(200)
  const kept = await send(test_, 'GET', path())
  expect(kept.body).toEqual([wish])
  const record = await send(test_, 'GET', `/api/kitchens/${kitchen.id}/fabrications/${state.record.id}`)
  expect((record.body as FabricationState).record).toEqual(state.record)
})

test('sent again under its id it is the same one, changed', async () => {
  const wish = dearer(5.5, 'Five fifty')
  await send(test_, 'PUT', path(`/${wish.id}`), wish)
  const again = await send(test_, 'PUT', path(`/${wish.id}`), { ...wish, name: 'Five fifty a kilo' })
  const names = (again.body as WhatIf[]).map((each) => each.name)
  expect(names.filter((name) => name.startsWith('Five fifty'))).toEqual(['Five fifty a kilo'])
})

test('let go, it is gone', async () => {
  const wish = dearer(6)
  await send(test_, 'PUT', path(`/${wish.id}`), wish)
  const left = await send(test_, 'DELETE', path(`/${wish.id}`))
  expect((left.body as WhatIf[]).map((each) => each.id)).not.toContain(wish.id)
})

test('what cannot be is refused with its field, and nothing is kept', async () => {
  const before = (await send(test_, 'GET', path())).body
  const bad = dearer(-1)
  const refused = await send(test_, 'PUT', path(`/${bad.id}`), bad)
  expect(refused.status).toBe(400)
  expect(refused.body.issues[0].path).toBe('assumptions.purchase.price.amount')
  const other = dearer(5)
  expect((await send(test_, 'PUT', path(`/${newId()}`), other)).body.issues[0].path).toBe('id')
  expect((await send(test_, 'GET', path())).body).toEqual(before)
})

test('another kitchen sees none of it, and its ids stay its own', async () => {
  const wish = dearer(5)
  await send(test_, 'PUT', path(`/${wish.id}`), wish)
  const stranger = await setUpKitchen(test_, 'Stranger')
  expect((await send(test_, 'GET', path('', stranger.id))).status).toBe(404)
  expect((await send(test_, 'PUT', path(`/${wish.id}`, stranger.id), wish)).status).toBe(404)
  await send(test_, 'DELETE', path(`/${wish.id}`, stranger.id))
  expect((await send(test_, 'GET', path())).body.map((each: WhatIf) => each.id)).toContain(wish.id)
})
