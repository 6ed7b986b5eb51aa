import type { Kitchen, MeasuredCut } from '@fleam/contract'
import { v7 as newId } from 'uuid'
import { openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
const path = (suffix = '', owner = kitchen.id) => `/api/kitchens/${owner}/measured-cuts${suffix}`

beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
})
beforeAll(async () => {
  test_ = await openTestApp()
})
afterAll(() => test_.close())

const cut = (changes: Partial<MeasuredCut> = {}): MeasuredCut => ({
  id: newId(),
  way: 'template',
  shape: 'tenderloin',
  planned: 215.25,
  weighed: 221,
  takenAt: '2026-11-25T09:00:00.000Z',
  ...changes,
})
const put = (body: MeasuredCut, owner = kitchen.id) => send(test_, 'PUT', path(`/${body.id}`, owner), body)

test('portions are known to the whole kitchen, newest first; sent twice there is one', async () => {
  const [first, second] = [cut(), cut({ takenAt: '2026-11-25T09:01:00.000Z', weighed: 208 })]
  await put(first)
  await put(second)
  expect((await put(first)).body).toEqual(first)
  expect((await send(test_, 'GET', path())).body).toEqual([second, first])
})

test('a portion that was taken back tells nothing', async () => {
  const wrong = cut()
  await put(wrong)
  expect((await send(test_, 'DELETE', path(`/${wrong.id}`))).body).toEqual([])
})

test('only the latest portions of each way and shape count', async () => {
  for (let at = 0; at < 83; at++) {
    await put(cut({ takenAt: new Date(Date.UTC(2026, 10, 25, 9, at)).toISOString(), planned: 100 + at }))
  }
  await put(cut({ way: 'girths' }))
  const { body } = await send(test_, 'GET', path())
  const known = body as MeasuredCut[]
  expect(known.filter(({ way }) => way === 'template')).toHaveLength(80)
  expect(known.filter(({ way }) => way === 'girths')).toHaveLength(1)
  expect(Math.min(...known.filter(({ way }) => way === 'template').map(({ planned }) => planned))).toBe(103)
})

test('what cannot be is refused with its field', async () => {
  const refused = await put(cut({ weighed: 0 }))
  expect([refused.status, refused.body.issues[0].path]).toEqual([400, 'weighed'])
  const other = cut()
  expect((await send(test_, 'PUT', path(`/${newId()}`), other)).body.issues[0].path).toBe('id')
})

test('another kitchen learns nothing from it, and cannot take its id', async () => {
  const mine = cut()
  await put(mine)
  const stranger = await setUpKitchen(test_, 'Stranger')
  expect((await send(test_, 'GET', path('', stranger.id))).body).toEqual([])
  expect((await put(mine, stranger.id)).status).toBe(409)
  await send(test_, 'DELETE', path(`/${mine.id}`, stranger.id))
  expect((await send(test_, 'GET', path())).body).toEqual([mine])
  expect((await send(test_, 'GET', path('', newId()))).status).toBe(404)
})
