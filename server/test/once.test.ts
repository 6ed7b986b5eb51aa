import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Item, Style } from '@fleam/core/style'
import { withOwnPiles } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { sixChickens } from '../../core/test/documents.ts'
import { addSupplier, openTestApp, send, setUpKitchen, startOf, type TestApp } from './harness.ts'

let test_: TestApp
let kitchen: Kitchen
let item: Item
let style: Style
let supplierId: string
const path = (rest: string) => `/api/kitchens/${kitchen.id}${rest}`

beforeAll(async () => {
  test_ = await openTestApp()
  kitchen = await setUpKitchen(test_)
  item = (await send(test_, 'GET', path('/items'))).body[0]
  style = item.styles[0] as Style
  supplierId = await addSupplier(test_, kitchen, 'Plattenkar Provisions')
})
afterAll(() => test_.close())

interface Creation {
  method?: 'POST' | 'PUT'
  url: () => string
  body: () => object
  /** The same id for something else. */
  other: (body: never) => object
}
const days = { receivedOn: '2026-11-24', productionDate: null, useBy: null, openedOn: null, isFinished: false }
const lot = () => ({
  id: newId(),
  version: 1,
  itemId: item.id,
  supplierId,
  code: 'L1',
  gtin: null,
  price: { amount: 3.1, per: 'kg' },
  extras: null,
  pieces: null,
  ...days,
  notes: null,
  cases: [{ id: newId(), label: null, serial: null, invoiceWeight: 12_600, weighed: null }],
  checks: ['stiffness', 'box', 'smell'].map((checkId) => ({ checkId, isFault: false, value: null, note: null })),
})

/** Everything that is created under an id of its maker's, and the same id for something else. */
const CREATIONS: Record<string, Creation> = {
  kitchen: {
    url: () => '/api/kitchens',
    body: () => ({ ...kitchen, id: newId(), name: 'Once' }),
    other: (body: Kitchen) => ({ ...body, name: 'Twice' }),
  },
  cook: {
    url: () => path('/cooks'),
    body: () => ({ id: newId(), name: `Marit ${newId()}`, wagePerHour: 100 / 7 }),
    other: (body: object) => ({ ...body, wagePerHour: 9 }),
  },
  item: {
    url: () => path('/items'),
    body: () => ({ ...item, id: newId(), name: `Bantam ${newId()}`, styles: [] }),
    other: (body: object) => ({ ...body, species: 'fish' }),
  },
  style: {
    url: () => path(`/items/${item.id}/styles`),
    body: () => ({ ...withOwnPiles(style, newId), id: newId(), name: `Once ${newId()}` }),
    other: (body: object) => ({ ...body, minutesPerUnit: 1 }),
  },
  'style on another item': {
    url: () => path(`/items/${item.id}/styles`),
    body: () => ({ ...withOwnPiles(style, newId), id: newId(), name: `Once ${newId()}` }),
    other: (body: object) => ({ ...body, steps: [] }),
  },
  offer: {
    url: () => path('/offers'),
    body: () => {
      const pileId = style.piles[0]?.id
      const offer = { name: 'Ready', pileId, price: { amount: 76, per: 'case' }, pieces: 20, pieceWeight: 280 }
      return { id: newId(), styleId: style.id, supplierId, offer }
    },
    other: (body: { offer: object }) => ({ ...body, offer: { ...body.offer, pieceWeight: 240 } }),
  },
  lot: { url: () => path('/lots'), body: lot, other: (body: object) => ({ ...body, code: 'L2' }) },
  fabrication: {
    url: () => path('/fabrications'),
    body: () => startOf(style.id),
    other: (body: object) => ({ ...body, units: 7 }),
  },
}

describe.each(Object.entries(CREATIONS))('a %s', (_what, { url, body, other }) => {
  test('sent eight times at once is there once, and answers each as the first', async () => {
    const sent = body()
    const answers = await Promise.all(Array.from({ length: 8 }, () => send(test_, 'POST', url(), sent)))
    expect(answers.map((answer) => answer.status)).toEqual(answers.map(() => 201))
    for (const answer of answers) expect(answer.body).toEqual(answers[0]?.body)
    expect((await send(test_, 'POST', url(), sent)).body).toEqual(answers[0]?.body)
  })

  test('under an id that stands for something else is refused, and that stays as it was', async () => {
    const sent = body()
    const first = await send(test_, 'POST', url(), sent)
    const refused = await send(test_, 'POST', url(), other(sent as never))
    expect([refused.status, refused.body.code, refused.body.issues[0]?.path]).toEqual([409, 'id-taken', 'id'])
    expect((await send(test_, 'POST', url(), sent)).body).toEqual(first.body)
  })
})

describe('imports', () => {
  const names = 'item=none&style=none&supplier=add&cook=none'
  const document = () => ({ ...sixChickens(), meta: { date: '2026-11-24', supplier: `Ostravale ${newId()}` } })

  test('of one document under one id, eight at once, are one record and one supplier', async () => {
    const [id, sent] = [newId(), document()]
    const ask = (body: object) => send(test_, 'POST', path(`/fabrications/import?id=${id}&${names}`), body)
    const answers = await Promise.all(Array.from({ length: 8 }, () => ask(sent)))
    expect(answers.map((answer) => answer.status)).toEqual(answers.map(() => 201))
    expect((await send(test_, 'GET', path(`/fabrications/${id}`))).body).toEqual(answers[0]?.body)
    const suppliers = (await send(test_, 'GET', path('/suppliers'))).body as { name: string }[]
    expect(suppliers.filter((supplier) => supplier.name === sent.meta.supplier)).toHaveLength(1)
    const lighter = { ...sent, piles: sent.piles.map((pile) => (pile.weight ? { ...pile, weight: 1 } : pile)) }
    const refused = await ask(lighter)
    expect([refused.status, refused.body.code]).toEqual([409, 'id-taken'])
  })

  test('of eight documents that name one new supplier make one of it', async () => {
    const sent = document()
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => send(test_, 'POST', path(`/fabrications/import?id=${newId()}&${names}`), sent)),
    )
    expect(answers.map((answer) => answer.status)).toEqual(answers.map(() => 201))
    const supplierIds = answers.map((answer) => (answer.body as FabricationState).record.supplierId)
    expect(new Set(supplierIds).size).toBe(1)
  })

  test('of one style file under one id, eight at once, are one style; another file is refused', async () => {
    const file = (await send(test_, 'GET', path(`/styles/${style.id}/style.json`))).body
    const id = newId()
    const ask = (body: object) => send(test_, 'POST', path(`/styles/import?id=${id}`), body)
    const answers = await Promise.all(Array.from({ length: 8 }, () => ask(file)))
    expect(answers.map((answer) => answer.status)).toEqual(answers.map(() => 201))
    for (const answer of answers) expect(answer.body).toEqual(answers[0]?.body)
    const refused = await ask({ ...file, style: { ...file.style, minutesPerUnit: 1 } })
    expect([refused.status, refused.body.code]).toEqual([409, 'id-taken'])
  })
})

test('a supplier that eight devices add at once is one, whatever its capitals', async () => {
  const answers = await Promise.all(
    Array.from({ length: 8 }, (_, index) =>
      send(test_, 'PUT', path('/suppliers'), {
        id: newId(),
        name: index % 2 === 0 ? 'Larkspur Game' : 'LARKSPUR game',
      }),
    ),
  )
  expect(answers.map((answer) => answer.status)).toEqual(answers.map(() => 200))
  const suppliers = (await send(test_, 'GET', path('/suppliers'))).body as { name: string }[]
  expect(suppliers.filter((supplier) => supplier.name.toLowerCase() === 'larkspur game')).toHaveLength(1)
})
