import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { assumptionsOf } from '@fleam/contract/what-if/assumptions'
import type { WhatIf } from '@fleam/contract/what-if/schemas'
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
  const request = dearer(5.2)
  expect((await send(test_, 'PUT', path(`/${request.id}`), request)).status).toBe(200)
  const kept = await send(test_, 'GET', path())
  expect(kept.body).toEqual([request])
  const record = await send(test_, 'GET', `/api/kitchens/${kitchen.id}/fabrications/${state.record.id}`)
  expect((record.body as FabricationState).record).toEqual(state.record)
})

test('sent again under its id it is the same one, changed', async () => {
  const request = dearer(5.5, 'Five fifty')
  await send(test_, 'PUT', path(`/${request.id}`), request)
  const again = await send(test_, 'PUT', path(`/${request.id}`), { ...request, name: 'Five fifty a kilo' })
  const names = (again.body as WhatIf[]).map((whatIf) => whatIf.name)
  expect(names.filter((name) => name.startsWith('Five fifty'))).toEqual(['Five fifty a kilo'])
})

test('let go, it is gone', async () => {
  const request = dearer(6)
  await send(test_, 'PUT', path(`/${request.id}`), request)
  const left = await send(test_, 'DELETE', path(`/${request.id}`))
  expect((left.body as WhatIf[]).map((whatIf) => whatIf.id)).not.toContain(request.id)
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
  const request = dearer(5)
  await send(test_, 'PUT', path(`/${request.id}`), request)
  const stranger = await setUpKitchen(test_, 'Stranger')
  expect((await send(test_, 'GET', path('', stranger.id))).status).toBe(404)
  expect((await send(test_, 'PUT', path(`/${request.id}`, stranger.id), request)).status).toBe(404)
  await send(test_, 'DELETE', path(`/${request.id}`, stranger.id))
  expect((await send(test_, 'GET', path())).body.map((row: WhatIf) => row.id)).toContain(request.id)
})
