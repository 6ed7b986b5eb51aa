import type { ArticleRows } from '@fleam/contract/buying/schemas'
import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { ForecastEvidence } from '@fleam/contract/forecasting/schemas'
import type { PlannedPile } from '@fleam/core/fabrication'
import type { Item } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { planned } from '../../../core/test/planned.ts'
import { until } from '../../../tools/processes.ts'
import {
  addSupplier,
  createPrice,
  openTestApp,
  send,
  sendFacts,
  setUpKitchen,
  startOf,
  startSixChickens,
  type TestApp,
  weighing,
} from '../../test/harness.ts'

let test_: TestApp
let kitchen: Awaited<ReturnType<typeof setUpKitchen>>
let state: FabricationState
const path = (rest: string) => `/api/kitchens/${kitchen.id}${rest}`
const at = (rest = '') => path(`/fabrications/${state.record.id}${rest}`)
const change = (changes: Parameters<typeof editOf>[1], of = state) =>
  send(test_, 'PUT', path(`/fabrications/${of.record.id}`), editOf(of.record, changes))
const itemsOf = async () => (await send(test_, 'GET', path('/items'))).body as Item[]

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
  state = await startSixChickens(test_, kitchen)
})
afterAll(() => test_.close())

describe('a record is put right', () => {
  test('given up, it keeps its weighings and counts nowhere; it can be taken up again', async () => {
    const reading = weighing(state.record.id, state.record.piles[0]?.id as string, 281)
    await sendFacts(test_, kitchen, reading)
    const given = await change({ status: 'abandoned' })
    expect([given.body.record.status, given.body.record.closedAt, given.body.facts.length]).toEqual([
      'abandoned',
      null,
      1,
    ])
    const again = await change({ status: 'open' }, given.body)
    expect([again.body.record.status, again.body.facts.length]).toEqual(['open', 1])
  })

  test('a pile that nobody planned is added, and weighed like the others; none can be lost', async () => {
    const staff: PlannedPile = planned(newId(), { name: 'for staff', class: 'by-product', valuePerKg: 4 })
    const { status, body } = await change({ piles: [...state.record.piles, staff] })
    expect([status, body.record.piles.at(-1).name]).toEqual([200, 'for staff'])
    const kept = await sendFacts(test_, kitchen, weighing(state.record.id, staff.id, 320))
    expect(kept.body.kept).toHaveLength(1)
    const document = (await send(test_, 'GET', at('/document.json'))).body
    expect(document.piles.at(-1)).toMatchObject({ name: 'for staff', weight: 320, valuePerKg: 4 })
    const fewer = await change({ piles: body.record.piles.slice(0, -1) }, body)
    expect([fewer.status, fewer.body.issues[0].path]).toEqual([400, 'piles'])
    // An id that another record's pile has is no new pile.
    const other = await startSixChickens(test_, kitchen)
    const taken = await change(
      { piles: [...body.record.piles, { ...staff, name: 'another', id: other.record.piles[0]?.id as string }] },
      body,
    )
    expect([taken.status, taken.body.code]).toEqual([409, 'id-taken'])
  })

  test('its style, count, cook and day are changed, and each version before is kept', async () => {
    const [item] = await itemsOf()
    const style = item?.styles.find((style) => style.id !== state.record.styleId)
    const { body } = await change({ styleId: style?.id as string, units: 5, date: '2026-11-20' })
    expect(body.record).toMatchObject({ style: style?.name, units: 5, date: '2026-11-20', version: 2 })
    const named = new Map(style?.piles.map((pile) => [pile.name, pile.id]))
    for (const pile of body.record.piles as PlannedPile[]) expect(pile.stylePileId).toBe(named.get(pile.name) ?? null)
    await change({ notes: 'second' }, body)
    const versions = (await send(test_, 'GET', at('/versions'))).body
    expect(versions.map((version: { version: number }) => version.version)).toEqual([2, 1])
    expect(versions[1].record).toMatchObject({ units: 6, styleId: state.record.styleId, notes: null })
    expect((await send(test_, 'GET', path(`/fabrications/${newId()}/versions`))).status).toBe(404)
  })

  test('left out of averages it speaks no more for its style', async () => {
    const weighed = state.record.piles.map((pile, order) =>
      weighing(state.record.id, pile.id, Math.round((pile.expectedShare ?? 0.001) * 12_600), order + 1),
    )
    await sendFacts(test_, kitchen, ...weighed)
    const closed = await change({ status: 'closed' })
    const tests = async () => ((await send(test_, 'GET', at('/evidence'))).body as ForecastEvidence).tests
    const before = (await tests()).length
    await change({ leftOut: 'two birds were frozen' }, closed.body)
    expect([before, (await tests()).length]).toEqual([1, 0])
  })
})

describe('a start needs no price', () => {
  const startWith = async (changes: object) => {
    const [item] = await itemsOf()
    const style = item?.styles.find((style) => style.name.startsWith('Supremes'))
    const { purchase, ...request } = startOf(style?.id as string)
    const own = { ...request, purchase: { ...purchase, price: null }, ...changes }
    return (await send(test_, 'POST', path('/fabrications'), own)).body as FabricationState
  }
  const line = (from: string, amount: number) => ({
    ...{ supplier: 'Ostravale Poultry Yard', code: 'C1', name: 'Chicken', kind: 'whole' as const, product: null },
    ...{ item: 'Chicken, eviscerated', price: { amount, per: 'kg' as const }, pieceWeight: null, packPieces: null },
    ...{ packWeight: null, usableShare: null, handlingMinutesPerPiece: null, delivery: null, minimumOrder: null },
    ...{ from, until: null },
  })

  test('it is the price book’s of that day and supplier, or nobody knows it yet', async () => {
    const supplierId = await addSupplier(test_, kitchen, 'Ostravale Poultry Yard')
    const none = await startWith({ supplierId })
    expect([none.record.priceFrom, none.record.purchase.price.amount]).toEqual(['none', 0])
    await createPrice(test_, kitchen, line('2026-11-01', 3.1))
    await createPrice(test_, kitchen, line('2026-11-25', 3.6))
    const known = await startWith({ supplierId })
    expect([known.record.priceFrom, known.record.purchase.price]).toEqual(['price-book', { amount: 3.1, per: 'kg' }])
    expect((await startWith({})).record.priceFrom).toBe('none')
  })

  test('one that is typed reaches the price book, once, and argues with nothing there', async () => {
    const supplierId = await addSupplier(test_, kitchen, 'Ostravale Poultry Yard')
    const [item] = await itemsOf()
    const styleId = item?.styles[0]?.id as string
    const start = (amount: number, date = '2026-11-24') => {
      const { purchase, ...request } = startOf(styleId)
      const priced = { ...purchase, price: { amount, per: 'kg' } }
      return send(test_, 'POST', path('/fabrications'), { ...request, date, purchase: priced, supplierId })
    }
    for (const [amount, date] of [
      [3.1, '2026-11-20'],
      [3.1, '2026-11-24'],
      [3.4, '2026-11-24'],
      [9.9, '2026-11-24'],
    ] as const)
      expect((await start(amount, date)).status).toBe(201)
    const inBook = async () =>
      ((await send(test_, 'GET', path('/articles'))).body as ArticleRows).rows.map(({ article, prices }) => [
        article.name,
        prices,
      ])
    // It follows the answer: no bench waits for the price book.
    await until(async () => JSON.stringify(await inBook()) === JSON.stringify([['Chicken, eviscerated', 2]]), {
      timeoutMs: 5_000,
      everyMs: 20,
    })
  })
})

test('what a portion may weigh can be said for one run', async () => {
  const [item] = await itemsOf()
  const style = item?.styles.find((style) => style.name.startsWith('Supremes'))
  const pile = style?.piles.find((pile) => pile.bounds !== null)
  const start = (stylePileId: string) => ({
    ...startOf(style?.id as string),
    bounds: [{ stylePileId, target: 250, low: 220, high: 280 }],
  })
  const { body } = await send(test_, 'POST', path('/fabrications'), start(pile?.id as string))
  const own = (body as FabricationState).record.piles.find((other) => other.stylePileId === pile?.id)
  expect([own?.target, own?.low, own?.high]).toEqual([250, 220, 280])
  const astray = await send(test_, 'POST', path('/fabrications'), start(newId()))
  expect([astray.status, astray.body.issues[0].path]).toEqual([400, 'bounds[0].stylePileId'])
})
