import type { ArticleRows, Product, Supplier } from '@fleam/contract/buying/schemas'
import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Appraisal } from '@fleam/core/appraisal'
import { type BuyingForm, compareForms, type TrueCost } from '@fleam/core/buying'
import type { FabricationDocument } from '@fleam/core/fabrication'
import type { PriceListLine } from '@fleam/core/price-lists'
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
const SUPREMES = 'Chicken: supremes'
const today = new Date().toISOString().slice(0, 10)

const line = (changes: Partial<PriceListLine> = {}): PriceListLine => ({
  supplier: 'Ostravale Poultry Yard',
  code: 'C1',
  name: 'Chicken',
  kind: 'whole',
  item: 'Chicken, eviscerated',
  product: null,
  price: { amount: 3.1, per: 'kg' },
  pieceWeight: 2100,
  packPieces: null,
  packWeight: null,
  usableShare: null,
  handlingMinutesPerPiece: null,
  delivery: null,
  minimumOrder: null,
  from: '2026-01-01',
  until: null,
  ...changes,
})
const ready = (changes: Partial<PriceListLine> = {}) =>
  line({
    supplier: 'Plattenkar Provisions',
    code: 'S20',
    name: 'Supremes, 20 x 280 g',
    kind: 'ready',
    item: null,
    product: SUPREMES,
    price: { amount: 76, per: 'case' },
    pieceWeight: 280,
    packPieces: 20,
    usableShare: 0.97,
    handlingMinutesPerPiece: 0.2,
    ...changes,
  })
const add = (priceListLine: PriceListLine) => createPrice(test_, kitchen, priceListLine)
const articles = async (query = ''): Promise<ArticleRows> => (await send(test_, 'GET', path(`/articles${query}`))).body
const productId = async (): Promise<string> => {
  const known: Product[] = (await send(test_, 'GET', path('/products'))).body
  return known.find((row) => row.name === SUPREMES)?.id as string
}
const forms = async (): Promise<BuyingForm[]> =>
  (await send(test_, 'GET', path(`/forms?product=${await productId()}`))).body

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
})
afterAll(() => test_.close())

describe('the price book', () => {
  test('keeps every price, and says which holds today', async () => {
    await add(line())
    await add(line({ price: { amount: 3.4, per: 'kg' }, from: '2026-06-01' }))
    await add(line({ price: { amount: 9, per: 'kg' }, from: '2999-01-01' }))
    const { rows, total } = await articles()
    expect(total).toBe(1)
    expect(rows[0]).toMatchObject({ prices: 3, current: { price: { amount: 3.4, per: 'kg' }, source: 'typed' } })
    const { body } = await send(test_, 'GET', path(`/articles/${rows[0]?.article.id}`))
    expect(body.prices.map((price: { price: { amount: number } }) => price.price.amount)).toEqual([3.1, 3.4, 9])
  })

  test('refuses a price that contradicts another, and one for what is not here', async () => {
    await add(line())
    const twice = await add(line({ price: { amount: 4, per: 'kg' } }))
    expect([twice.status, twice.body.code, twice.body.kept]).toEqual([
      422,
      'price-list-wrong',
      'Nothing of the list was taken in.',
    ])
    const stranger = await add(line({ code: 'X', item: 'Dodo' }))
    expect([stranger.status, stranger.body.issues[0].path]).toEqual([400, 'itemId'])
    const ended = await add(line({ code: 'Y', until: '2025-01-01' }))
    expect([ended.status, ended.body.issues[0].path]).toEqual([400, 'until'])
    expect((await articles()).total).toBe(1)
  })

  test('finds by any words, whatever their case or accents, and by nothing that is a pattern', async () => {
    await add(line())
    await add(line({ code: 'R1', name: 'Rehrücken 100 %', item: null }))
    expect((await articles('?words=rehrucken')).total).toBe(1)
    expect((await articles('?words=yard%20CHICKEN')).total).toBe(1)
    expect((await articles('?words=%25')).total).toBe(1)
    expect((await articles('?words=_____________')).total).toBe(0)
    expect((await articles('?tied=true')).total).toBe(1)
  })

  test('is no other kitchen’s business', async () => {
    await add(line())
    const id = (await articles()).rows[0]?.article.id
    const other = await setUpKitchen(test_, 'Other')
    expect((await send(test_, 'GET', `/api/kitchens/${other.id}/articles/${id}`)).status).toBe(404)
    expect((await send(test_, 'GET', `/api/kitchens/${other.id}/articles`)).body.total).toBe(0)
    expect((await send(test_, 'GET', `/api/kitchens/${newId()}/price-list.csv`)).status).toBe(404)
  })

  test('keeps a supplier’s terms, and a price without its own has them', async () => {
    await add(line())
    const [supplier] = (await send(test_, 'GET', path('/suppliers'))).body
    const { body } = await send(test_, 'PUT', path('/suppliers'), { ...supplier, delivery: 12, minimumOrder: 40 })
    expect(body).toEqual([{ ...supplier, delivery: 12, minimumOrder: 40 }])
    expect((await forms())[0]?.quote).toMatchObject({ delivery: 12, minimumOrder: 40 })
  })
})

describe('true cost', () => {
  const request = {
    product: 'supremes',
    plates: 60,
    plateWeight: 280,
    lightPlates: 'whole' as const,
    wagePerHour: 21.4,
    currency: 'EUR',
  }

  test('every form of a product, from every supplier, agrees with the appraisal of the same numbers', async () => {
    await add(line())
    await add(line({ supplier: 'Brindlemere Meats', price: { amount: 2.9, per: 'kg' } }))
    await add(ready())
    const found = await forms()
    expect(found.map((form) => form.kind)).toEqual(['whole', 'whole', 'ready'])
    const { ranked } = compareForms(found, request)
    const bought = ranked.find((cost) => cost.form.kind === 'ready') as TrueCost
    for (const cost of ranked) {
      if (!('document' in cost.basis)) continue
      const { status, body } = await send(test_, 'POST', '/api/appraise', cost.basis.document)
      expect(status).toBe(200)
      const appraisal = body as Appraisal
      expect(appraisal.cost.ap).toBeCloseTo(cost.outlay, 9)
      expect(appraisal.piles.find((pile) => pile.name === 'supremes')?.costPerKg).toBeCloseTo(cost.costPerKg, 9)
      expect(appraisal.comparisons[0]?.buyPerPortionSameWeight).toBeCloseTo(bought.costPerPlate, 9)
    }
  })

  test('rests on the kitchen’s own yield after three tests, blended before, assumed at first', async () => {
    await add(line())
    const shareOf = async () => {
      const [form] = await forms()
      return form?.kind === 'whole' ? form.piles.find((pile) => pile.name === 'supremes')?.share : undefined
    }
    expect(await shareOf()).toMatchObject({ basis: 'assumed', value: 0.27 })
    await closedRecord()
    expect(await shareOf()).toMatchObject({ basis: 'blended', tests: 1 })
    await closedRecord()
    await closedRecord()
    const own = await shareOf()
    expect(own).toMatchObject({ basis: 'own', tests: 3 })
    expect(own?.value).toBeCloseTo(3000 / 12600, 9)
  })

  test('a record whose weights do not add up says nothing', async () => {
    await add(line())
    await closedRecord({ bones: 0 })
    const [form] = await forms()
    expect(form?.kind === 'whole' && form.piles[0]?.share.basis).toBe('assumed')
  })

  test('what can be compared is listed, what can be bought ready first', async () => {
    await add(line())
    await add(ready())
    const { body } = await send(test_, 'GET', path('/products'))
    const supremes = body.find((row: { name: string }) => row.name === SUPREMES)
    expect(supremes).toEqual({
      id: await productId(),
      name: SUPREMES,
      pile: 'supremes',
      plate: null,
      plateWeight: 280,
      forms: 2,
    })
    expect(body[0].name).toBe(SUPREMES)
    expect(body[1].forms).toBeGreaterThanOrEqual(body[2].forms)
  })
})

/** Six chickens, weighed and finished: 3 kg of supremes, and what is left on the bones. */
async function closedRecord({
  bones = 9400,
  supplier = 'Ostravale Poultry Yard',
  price = 3.1,
  style: styleName = 'Supremes',
  pile: portions = 'supremes',
} = {}): Promise<FabricationState> {
  const items: Item[] = (await send(test_, 'GET', path('/items'))).body
  const style = items[0]?.styles.find((style) => style.name.startsWith(styleName))
  const request = startOf(style?.id as string)
  const purchase = { price: { amount: price, per: 'kg' }, invoiceWeight: 12600, receivedWeight: 12540, extras: 3 }
  const started = await send(test_, 'POST', path('/fabrications'), {
    ...request,
    purchase,
    supplierId: await addSupplier(test_, kitchen, supplier),
  })
  const { record } = started.body as FabricationState
  const pileId = (name: string) => record.piles.find((pile) => pile.name === name)?.id as string
  const readings = [
    weighing(record.id, pileId(portions), 3000),
    ...(bones > 0 ? [weighing(record.id, pileId('bones and back'), bones, 2)] : []),
  ]
  await sendFacts(test_, kitchen, ...readings)
  const piles = record.piles.map((pile) =>
    pile.name === portions
      ? { ...pile, target: null, low: null, high: null, weighing: 'whole' as const, portions: 12 }
      : pile,
  )
  const closed = await send(
    test_,
    'PUT',
    path(`/fabrications/${record.id}`),
    editOf(record, { piles, status: 'closed' }),
  )
  if (closed.status !== 200) throw new Error(JSON.stringify(closed.body))
  return closed.body
}

describe('ids, not names', () => {
  test('two suppliers of one name each keep their own price, in the comparison and in what turned', async () => {
    await add(line({ price: { amount: 1, per: 'kg' } }))
    await add(ready())
    await add(ready({ supplier: 'Brindlemere Meats', code: 'B20', price: { amount: 61, per: 'case' } }))
    const { record } = await closedRecord({ price: 1 })
    expect(record.offers.map((offer) => [offer.name, offer.price.amount])).toEqual([
      ['Supremes, 20 x 280 g, Brindlemere Meats', 61],
      ['Supremes, 20 x 280 g, Plattenkar Provisions', 76],
    ])
    await add(ready({ supplier: 'Brindlemere Meats', code: 'B20', price: { amount: 10, per: 'case' }, from: today }))
    const [turned] = (await send(test_, 'GET', path('/turned'))).body
    expect(turned.changes).toMatchObject([{ kind: 'offer', offer: 'Supremes, 20 x 280 g, Brindlemere Meats' }])
  })

  test('an item, a style and a pile that are renamed leave no article, lot, record or test behind', async () => {
    await add(line())
    await add(ready())
    await closedRecord()
    const [{ styles, id, ...item }] = (await send(test_, 'GET', path('/items'))).body
    await send(test_, 'PUT', path(`/items/${id}`), { ...item, name: 'Hen' })
    const supremes = styles.find((style: { name: string }) => style.name.startsWith('Supremes'))
    const piles = supremes.piles.map((pile: { name: string }) =>
      pile.name === 'supremes' ? { ...pile, name: 'wings-on' } : pile,
    )
    await send(test_, 'PUT', path(`/styles/${supremes.id}`), { ...supremes, piles, name: 'On the wing' })
    const form = (await forms()).find((buyingForm) => buyingForm.kind === 'whole' && buyingForm.style === 'On the wing')
    expect(form).toMatchObject({ kind: 'whole', item: 'Hen' })
    expect(form?.kind === 'whole' && form.piles[0]).toMatchObject({ share: { basis: 'blended', tests: 1 } })
    expect((await articles()).rows[0]?.article.item).toBe('Hen')
    const [row] = (await send(test_, 'GET', path('/fabrications'))).body
    expect(row.document).toMatchObject({ item: 'Hen', style: 'On the wing' })
    const next = await closedRecord({ style: 'On the wing', pile: 'wings-on' })
    const named = (id: string) => next.record.piles.find((pile) => pile.id === id)?.name
    expect(next.record.offers.map((offer) => named(offer.pileId))).toEqual(['wings-on'])
  })

  test('a supplier is one whatever its capitals, and two can be merged with all that is theirs', async () => {
    await add(line())
    await add(line({ supplier: 'OSTRAVALE poultry yard', code: 'C2', name: 'Capon' }))
    await add(line({ supplier: 'Ostravale', price: { amount: 3, per: 'kg' } }))
    const { record } = await closedRecord({ supplier: 'Ostravale' })
    const known: Supplier[] = (await send(test_, 'GET', path('/suppliers'))).body
    expect(known.map((row) => row.name)).toEqual(['Ostravale', 'Ostravale Poultry Yard'])
    const [short, long] = known as [Supplier, Supplier]
    const itself = await send(test_, 'POST', path(`/suppliers/${short.id}/merge`), { into: short.id })
    expect([itself.status, itself.body.issues[0].path]).toEqual([400, 'into'])
    const merged = await send(test_, 'POST', path(`/suppliers/${short.id}/merge`), { into: long.id })
    expect(merged.body).toEqual([long])
    expect((await send(test_, 'GET', path(`/fabrications/${record.id}`))).body.record.supplier).toBe(long.name)
    const { rows } = await articles()
    expect(rows.map(({ article }) => article.supplierId)).toEqual([long.id, long.id, long.id])
    expect(new Set(rows.map(({ article }) => article.code)).size).toBe(3)
    const renamed = await send(test_, 'PUT', path('/suppliers'), { ...long, name: 'The Yard' })
    expect(renamed.body[0].name).toBe('The Yard')
  })
})

describe('a new price', () => {
  test('that turns the verdict of a record is told, with what it was and is', async () => {
    await add(ready({ from: '2026-01-01' }))
    await add(line({ price: { amount: 1, per: 'kg' } }))
    const { record } = await closedRecord({ price: 1 })
    expect(record.offers.map((offer) => offer.name)).toEqual(['Supremes, 20 x 280 g'])
    expect((await send(test_, 'GET', path('/turned'))).body).toEqual([])
    await add(line({ price: { amount: 8, per: 'kg' }, from: today }))
    const { body } = await send(test_, 'GET', path('/turned'))
    expect(body).toHaveLength(1)
    expect(body[0]).toMatchObject({
      id: record.id,
      changes: [{ kind: 'purchase', price: { amount: 8, per: 'kg' }, since: today }],
    })
    expect((body[0].document as FabricationDocument).purchase.price.amount).toBe(1)
  })

  test('of another supplier, or in another unit, turns nothing', async () => {
    await add(ready())
    await closedRecord()
    await add(line({ supplier: 'Brindlemere Meats', price: { amount: 9, per: 'kg' } }))
    await add(line({ price: { amount: 40, per: 'piece' } }))
    expect((await send(test_, 'GET', path('/turned'))).body).toEqual([])
  })

  test('shows what rests on the article', async () => {
    await add(line())
    const { record } = await closedRecord()
    const { article } = (await articles()).rows[0] as ArticleRows['rows'][number]
    const { body } = await send(test_, 'GET', path(`/articles/${article.id}`))
    expect(body.records.map((record: { id: string }) => record.id)).toEqual([record.id])
  })
})
