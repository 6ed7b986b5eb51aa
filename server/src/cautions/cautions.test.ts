import type { CautionOverride } from '@fleam/contract/cautions/operations'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Item } from '@fleam/core/style'
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
    expect([status, body]).toEqual([200, [{ ...own, itemId: null, styleId: null, step: null }]])
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

  test('hold for an item, a style or a step, each beside the others, and are taken back one by one', async () => {
    const [item] = (await send(test_, 'GET', path('/items'))).body as Item[]
    const style = item?.styles[0]
    const put = (where: object) => send(test_, 'PUT', path('/cautions/cold-chain'), { ...own, ...where })
    await put({})
    await put({ itemId: item?.id })
    await put({ styleId: style?.id })
    const { body } = await put({ styleId: style?.id, step: 'legs', boardMinutes: 10 })
    expect(body.map((row: CautionOverride) => [row.itemId, row.styleId, row.step])).toEqual(
      expect.arrayContaining([
        [null, null, null],
        [item?.id, null, null],
        [null, style?.id, null],
        [null, style?.id, 'legs'],
      ]),
    )
    const left = await send(test_, 'DELETE', path(`/cautions/cold-chain?styleId=${style?.id}`))
    expect(left.body).toHaveLength(3)
    const alone = await put({ step: 'legs' })
    expect([alone.status, alone.body.issues[0].path]).toEqual([400, 'step'])
    expect((await put({ styleId: newId() })).status).toBe(404)
    expect((await put({ itemId: newId() })).status).toBe(404)
  })
})
