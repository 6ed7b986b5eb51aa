import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { ForecastEvidence } from '@fleam/contract/forecasting/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { LabourSource } from '@fleam/core/fabrication'
import type { Item } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import {
  addSupplier,
  createPrice,
  openTestApp,
  send,
  sendFacts,
  setUpKitchen,
  startOf,
  type TestApp,
  weighing,
} from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
const path = (suffix: string) => `/api/kitchens/${kitchen.id}${suffix}`

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

/** Six chickens, finished; with a pile missing where `bones` is zero. */
async function record(bones: number, labourFrom: LabourSource = 'timed'): Promise<FabricationState> {
  const items: Item[] = (await send(test_, 'GET', path('/items'))).body
  const style = items[0]?.styles.find((style) => style.name.startsWith('Supremes'))
  const purchase = { price: { amount: 3.1, per: 'kg' }, invoiceWeight: 12_600, extras: 3 }
  const supplierId = await addSupplier(test_, kitchen, 'Ostravale Poultry Yard')
  const request = { ...startOf(style?.id as string), purchase, supplierId }
  const started = await send(test_, 'POST', path('/fabrications'), request)
  const state = started.body as FabricationState
  const pileId = (name: string) => state.record.piles.find((pile) => pile.name === name)?.id as string
  const { id } = state.record
  const readings = [
    weighing(id, pileId('supremes'), 3150),
    ...(bones > 0 ? [weighing(id, pileId('bones and back'), bones, 2)] : []),
  ]
  await sendFacts(test_, kitchen, ...readings)
  const closed = await send(
    test_,
    'PUT',
    path(`/fabrications/${state.record.id}`),
    editOf(state.record, { status: 'closed', labourFrom }),
  )
  return closed.body
}

const price = (amount: number, from: string) =>
  createPrice(test_, kitchen, {
    supplier: 'Ostravale Poultry Yard',
    code: 'C1',
    name: 'Chicken',
    kind: 'whole',
    item: 'Chicken, eviscerated',
    product: null,
    price: { amount, per: 'kg' },
    pieceWeight: null,
    packPieces: null,
    packWeight: null,
    usableShare: null,
    handlingMinutesPerPiece: null,
    delivery: null,
    minimumOrder: null,
    from,
    until: null,
  })

const daysAgo = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10)

test('a forecast rests on the tests of its style that add up, and on the prices of the last year', async () => {
  const first = await record(9400)
  await record(9400, 'expected')
  await record(0)
  await price(2.8, daysAgo(500))
  await price(3, daysAgo(100))
  await price(3.3, daysAgo(20))
  await price(9, daysAgo(-30))
  const { status, body } = await send(test_, 'GET', path(`/fabrications/${first.record.id}/evidence`))
  expect(status).toBe(200)
  const evidence = body as ForecastEvidence
  expect(evidence.tests).toHaveLength(2)
  expect(evidence.tests[0]?.shares[first.record.piles[0]?.id as string]).toBeCloseTo(0.25, 12)
  // Minutes that nobody measured tell nothing.
  expect(evidence.tests.map((test) => test.minutesPerUnit).sort()).toEqual([9, null])
  // What was paid at the bench reached the price book.
  expect([...evidence.apPrices].sort()).toEqual([3, 3.1, 3.3])
  expect(evidence.offers).toEqual([])
})

test('of a record that is not here there is none', async () => {
  expect((await send(test_, 'GET', path(`/fabrications/${newId()}/evidence`))).status).toBe(404)
})
