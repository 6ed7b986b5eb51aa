import type { Kitchen } from '@fleam/contract'
import { openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
const path = (suffix: string) => `/api/kitchens/${kitchen.id}${suffix}`

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

describe('cautions of the kitchen’s own', () => {
  const own = {
    cautionId: 'cold-chain',
    text: 'Back in the cold within 20 minutes.',
    reason: 'our plan',
    boardMinutes: 20,
    outMinutes: 60,
  }

  test('replace the default with a reason, and can be taken back', async () => {
    const { status, body } = await send(test_, 'PUT', path('/cautions/cold-chain'), own)
    expect([status, body]).toEqual([200, [own]])
    expect(
      (await send(test_, 'PUT', path('/cautions/cold-chain'), { ...own, boardMinutes: 25 })).body[0].boardMinutes,
    ).toBe(25)
    expect((await send(test_, 'DELETE', path('/cautions/cold-chain'))).body).toEqual([])
  })

  test('need a reason and a caution that there is', async () => {
    const silent = await send(test_, 'PUT', path('/cautions/cold-chain'), { ...own, reason: ' ' })
    expect([silent.status, silent.body.issues[0].path]).toEqual([400, 'reason'])
    expect((await send(test_, 'PUT', path('/cautions/nonsense'), { ...own, cautionId: 'nonsense' })).status).toBe(404)
    expect((await send(test_, 'PUT', path('/cautions/saw'), own)).body.issues[0].path).toBe('cautionId')
  })
})
