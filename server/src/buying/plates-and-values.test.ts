import type { Product } from '@fleam/contract/buying/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { WholeForm } from '@fleam/core/buying'
import type { Item, Style } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { createPrice, openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
const path = (suffix: string) => `/api/kitchens/${kitchen.id}${suffix}`

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

const products = async (): Promise<Product[]> => (await send(test_, 'GET', path('/products'))).body
const named = async (name: string) => (await products()).find((product) => product.name === name) as Product
const say = (id: string, plate: unknown) => send(test_, 'PUT', path(`/products/${id}/plate`), { plate })

describe('what a plate of a product is', () => {
  test('is assumed until it is said, kept as it was said, and unsaid', async () => {
    const supremes = await named('Chicken: supremes')
    expect([supremes.plate, supremes.plateWeight]).toEqual([null, 280])
    const two = { by: 'pieces', count: 2 }
    expect((await say(supremes.id, two)).status).toBe(200)
    expect(await named(supremes.name)).toMatchObject({ plate: two, plateWeight: 560 })
    // Bones are no meat: a plate of so much meat is heavier as it is weighed.
    await say(supremes.id, { by: 'edible', grams: 200 })
    const { plate, plateWeight } = await named(supremes.name)
    expect(plate).toEqual({ by: 'edible', grams: 200 })
    expect(plateWeight).toBeGreaterThan(200)
    await say(supremes.id, null)
    expect(await named(supremes.name)).toMatchObject({ plate: null, plateWeight: 280 })
  })

  test.each([
    [{ by: 'pieces', count: 0 }],
    [{ by: 'edible', grams: -5 }],
    [{ by: 'crates', count: 1 }],
    [{ by: 'pieces' }],
  ])('cannot be %j', async (plate) => {
    const [product] = await products()
    expect((await say(product?.id as string, plate)).status).toBe(400)
  })

  test('is said of a product of this kitchen alone', async () => {
    expect((await say(newId(), null)).status).toBe(404)
  })
})

test('what nobody valued is assumed from what it costs bought ready, and from its like in other styles', async () => {
  const items: Item[] = (await send(test_, 'GET', path('/items'))).body
  const chicken = items.find(({ name }) => name === 'Chicken, eviscerated') as Item
  const style = chicken.styles.find(({ name }) => name.startsWith('Supremes')) as Style
  const price = { from: '2026-01-01', until: null, pieceWeight: null, packPieces: null, packWeight: null }
  const said = {
    supplier: 'Ostravale',
    usableShare: null,
    handlingMinutesPerPiece: null,
    delivery: null,
    minimumOrder: null,
  }
  await createPrice(test_, kitchen, {
    ...{ ...said, ...price, code: '1', name: 'Chicken', kind: 'whole', item: chicken.name, product: null },
    price: { amount: 3, per: 'kg' },
  })
  const shown = async () => {
    const forms: WholeForm[] = (await send(test_, 'GET', path(`/forms?item=${chicken.id}`))).body
    return forms.flatMap(({ styleId, piles }) => piles.map((pile) => ({ styleId, ...pile })))
  }
  expect((await shown()).every((pile) => pile.assumedValue === null)).toBe(true)
  // The kitchen says of one style what bones are worth; of another it follows, of itself it is no assumption.
  const bones = style.piles.find(({ kind }) => kind === 'bones')
  const piles = style.piles.map((pile) => (pile === bones ? { ...pile, valuePerKg: 1.2 } : pile))
  expect((await send(test_, 'PUT', path(`/styles/${style.id}`), { ...style, piles })).status).toBe(200)
  const valued = await shown()
  expect(valued.find(({ styleId, name }) => styleId === style.id && name === bones?.name)).toMatchObject({
    valuePerKg: 1.2,
    assumedValue: null,
  })
  const alike = valued.filter(({ assumedValue }) => assumedValue?.from === 'same-kind')
  expect(alike.length).toBeGreaterThan(0)
  expect(alike.every(({ styleId, assumedValue }) => styleId !== style.id && assumedValue?.perKg === 1.2)).toBe(true)
  await createPrice(test_, kitchen, {
    ...{ ...said, ...price, code: '2', name: 'Supremes', kind: 'ready', item: null },
    ...{ product: 'Chicken: supremes', pieceWeight: 280, packPieces: 20 },
    price: { amount: 76, per: 'case' },
  })
  const supremes = (await shown()).find(({ styleId, name }) => styleId === style.id && name === 'supremes')
  expect(supremes).toMatchObject({ valuePerKg: null, assumedValue: { from: 'price-book' } })
  expect(supremes?.assumedValue?.perKg).toBeCloseTo(76 / 5.6, 6)
})
