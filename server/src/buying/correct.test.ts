import type { ArticleRows, StruckPrice } from '@fleam/contract/buying/schemas'
import type { BuyingForm } from '@fleam/core/buying'
import type { ArticlePrice } from '@fleam/core/price-lists'
import { v7 as newId } from 'uuid'
import { createPrice, openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'

interface ArticleHistory {
  prices: ArticlePrice[]
  struck: StruckPrice[]
}

let test_: TestApp
let kitchen: Awaited<ReturnType<typeof setUpKitchen>>
const path = (rest: string) => `/api/kitchens/${kitchen.id}${rest}`

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
  for (const [from, amount] of [
    ['2026-11-01', 3.1],
    ['2026-11-10', 31],
  ] as const)
    await createPrice(test_, kitchen, {
      ...{ supplier: 'Ostravale Poultry Yard', code: 'C1', name: 'Chicken', kind: 'whole', product: null },
      ...{ item: 'Chicken, eviscerated', price: { amount, per: 'kg' }, pieceWeight: null, packPieces: null },
      ...{ packWeight: null, usableShare: null, handlingMinutesPerPiece: null, delivery: null, minimumOrder: null },
      ...{ from, until: null },
    })
})
afterAll(() => test_.close())

async function history(): Promise<ArticleHistory> {
  const { rows } = (await send(test_, 'GET', path('/articles'))).body as ArticleRows
  return (await send(test_, 'GET', path(`/articles/${rows[0]?.article.id}`))).body
}
const mistyped = async () => (await history()).prices.find((price) => price.price.amount === 31)?.id as string
const correct = async (id: string, body: unknown) => send(test_, 'POST', path(`/prices/${id}/correct`), body)
const plain = { pieceWeight: null, packPieces: null, packWeight: null, delivery: null, minimumOrder: null, until: null }

test('a mistyped price is struck out, with why, and leaves every answer at once', async () => {
  const id = await mistyped()
  const { status, body } = await correct(id, { why: 'one digit too many', replacement: null })
  expect([status, body.prices.map((price: { price: { amount: number } }) => price.price.amount)]).toEqual([200, [3.1]])
  expect(body.struck).toMatchObject([
    { id, struckWhy: 'one digit too many', struckBy: 'office', price: { amount: 31 } },
  ])
  const { rows } = (await send(test_, 'GET', path('/articles'))).body as ArticleRows
  expect([rows[0]?.prices, rows[0]?.current?.price.amount]).toEqual([1, 3.1])
  const items = (await send(test_, 'GET', path('/items'))).body as { id: string; name: string }[]
  const item = items.find((item) => item.name === 'Chicken, eviscerated')?.id
  const forms = (await send(test_, 'GET', path(`/forms?item=${item}`))).body as BuyingForm[]
  expect(new Set(forms.map((form) => form.quote.price.amount))).toEqual(new Set([3.1]))
  expect((await test_.app.inject({ url: path('/price-list.csv') })).body).not.toContain('31')
})

test('another price stands in its place, also of the same day, and the article is as it was', async () => {
  const { body } = await correct(await mistyped(), {
    why: 'it was 3.10',
    replacement: { ...plain, price: { amount: 3.3, per: 'kg' }, from: '2026-11-10' },
  })
  expect(
    body.prices.map((price: { price: { amount: number }; from: string }) => [price.from, price.price.amount]),
  ).toEqual([
    ['2026-11-01', 3.1],
    ['2026-11-10', 3.3],
  ])
  expect([body.article.code, body.struck.length]).toEqual(['C1', 1])
})

test('is all or nothing: one that contradicts another leaves everything as it was, and is told', async () => {
  const before = await history()
  const clash = await correct(await mistyped(), {
    why: 'x',
    replacement: { ...plain, price: { amount: 3.3, per: 'kg' }, from: '2026-11-01' },
  })
  expect([clash.status, clash.body.code]).toEqual([422, 'price-list-wrong'])
  expect(await history()).toEqual(before)
})

test('is refused by field without a reason, twice, and for a price that is not there', async () => {
  const id = await mistyped()
  const refusal = async (of: string, why: string) => {
    const { status, body } = await correct(of, { why, replacement: null })
    return [status, body.issues?.[0]?.path ?? body.code]
  }
  expect(await refusal(id, ' ')).toEqual([400, 'why'])
  expect(await refusal(newId(), 'x')).toEqual([404, 'not-found'])
  await correct(id, { why: 'x', replacement: null })
  expect(await refusal(id, 'x')).toEqual([400, 'id'])
})
