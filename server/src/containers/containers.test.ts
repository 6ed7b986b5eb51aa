import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { v7 as newId } from 'uuid'
import { openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
const path = (suffix: string) => `/api/kitchens/${kitchen.id}${suffix}`

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

describe('containers', () => {
  test('are remembered by name; the same name is weighed anew', async () => {
    await send(test_, 'POST', path('/containers'), { id: newId(), name: 'blue tub', grams: 640 })
    await send(test_, 'POST', path('/containers'), { id: newId(), name: 'steel tray', grams: 900 })
    const { status, body } = await send(test_, 'POST', path('/containers'), {
      id: newId(),
      name: 'blue tub',
      grams: 655,
    })
    expect(status).toBe(201)
    expect(body.map((row: { name: string; grams: number }) => [row.name, row.grams])).toEqual([
      ['blue tub', 655],
      ['steel tray', 900],
    ])
    const left = await send(test_, 'DELETE', path(`/containers/${body[0].id}`))
    expect(left.body.map((row: { name: string }) => row.name)).toEqual(['steel tray'])
  })

  test('refuse a weight that is none, and an id that is taken', async () => {
    const bad = await send(test_, 'POST', path('/containers'), { id: newId(), name: 'x', grams: 0 })
    expect([bad.status, bad.body.issues[0].path]).toEqual([400, 'grams'])
    const [known] = (await send(test_, 'GET', path('/containers'))).body
    const taken = await send(test_, 'POST', path('/containers'), { id: known.id, name: 'another', grams: 5 })
    expect([taken.status, taken.body.code]).toEqual([409, 'id-taken'])
  })

  test('are no other kitchen’s', async () => {
    const other = await setUpKitchen(test_, 'Other')
    expect((await send(test_, 'GET', `/api/kitchens/${other.id}/containers`)).body).toEqual([])
    const nowhere = await send(test_, 'POST', `/api/kitchens/${newId()}/containers`, {
      id: newId(),
      name: 'x',
      grams: 5,
    })
    expect(nowhere.status).toBe(404)
  })
})
