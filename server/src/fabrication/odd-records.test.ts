import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { HEAVIEST_GRAMS, MAX_COOKS, MAX_MINUTES, MAX_STYLES, MAX_UNITS } from '@fleam/core/limits'
import type { Item, Style } from '@fleam/core/style'
import { withOwnPiles } from '@fleam/core/style'
import fc from 'fast-check'
import { v7 as newId } from 'uuid'
import { sixChickens } from '../../../core/test/documents.ts'
import {
  addSupplier,
  openTestApp,
  send,
  sendFacts,
  setUpKitchen,
  startOf,
  startSixChickens,
  type TestApp,
} from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
let items: Item[]

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
  items = (await send(test_, 'GET', path('/items'))).body
})
afterAll(() => test_.close())

const path = (rest: string) => `/api/kitchens/${kitchen.id}${rest}`
const styleNamed = (start: string) =>
  items.flatMap((item) => item.styles).find((style) => style.name.startsWith(start)) as Style
const refused = async (method: 'POST' | 'PUT', address: string, body: unknown) => {
  const answer = await send(test_, method, path(address), body)
  return [answer.status, answer.body.issues?.[0]?.path]
}
/** Every list and every record of the kitchen can be read, and says what its schema says. */
async function expectReadable(): Promise<void> {
  const rows = await send(test_, 'GET', path('/fabrications'))
  expect(rows.status).toBe(200)
  for (const { id } of rows.body as { id: string }[]) {
    for (const rest of ['', '/document.json', '/piles.csv'])
      expect((await test_.app.inject({ url: path(`/fabrications/${id}${rest}`) })).statusCode).toBe(200)
  }
  for (const address of ['/items', '/cooks', '/turned', '/suppliers'])
    expect([address, (await send(test_, 'GET', path(address))).status]).toEqual([address, 200])
}

describe('what a kitchen cannot mean is refused with its field, before it is stored', () => {
  const start = (changes: object) => ({ ...startOf(styleNamed('Supremes').id), ...changes })

  test('grams typed where birds are asked for', async () => {
    expect(await refused('POST', '/fabrications', start({ units: 12_600 }))).toEqual([400, 'units'])
    const steaks = start({ styleId: styleNamed('Steaks throughout').id, units: MAX_UNITS })
    expect(await refused('POST', '/fabrications', steaks)).toEqual([400, 'units'])
    await expectReadable()
  })

  test('a weight above zero that would be kept as zero', async () => {
    const { purchase } = start({})
    const light = start({ purchase: { ...purchase, invoiceWeight: 4e-10, receivedWeight: 4e-10 } })
    expect(await refused('POST', '/fabrications', light)).toEqual([400, 'purchase.invoiceWeight'])
  })

  test('a piece of no weight in a document', async () => {
    const { piles, ...document } = sixChickens()
    const empty = piles.map((pile) => (pile.pieces ? { ...pile, pieces: [...pile.pieces, 0.0004] } : pile))
    const names = 'item=none&style=none&supplier=none&cook=none'
    const address = `/fabrications/import?id=${newId()}&${names}`
    expect(await refused('POST', address, { ...document, piles: empty })).toEqual([400, 'piles[0].pieces[12]'])
    expect((await send(test_, 'GET', path('/fabrications'))).body).toEqual([])
  })

  test('a cook’s name that nothing can be named after, and one cook too many', async () => {
    const cook = (name: string) => ({ id: newId(), name, wagePerHour: 20 })
    expect(await refused('POST', '/cooks', cook('M'.repeat(107)))).toEqual([400, 'name'])
    for (let at = 0; at < MAX_COOKS; at++) await send(test_, 'POST', path('/cooks'), cook(`Cook ${at}`))
    expect(await refused('POST', '/cooks', cook('One more'))).toEqual([400, 'id'])
    await expectReadable()
  })

  test('one style too many', async () => {
    const [item] = items as [Item]
    const own = item.styles[0] as Style
    const copy = (at: number) => ({
      ...withOwnPiles(own, newId),
      id: newId(),
      name: `Copy ${at}`,
    })
    for (let at = item.styles.length; at < MAX_STYLES; at++)
      expect((await send(test_, 'POST', path(`/items/${item.id}/styles`), copy(at))).status).toBe(201)
    expect(await refused('POST', `/items/${item.id}/styles`, copy(MAX_STYLES))).toEqual([400, 'id'])
    await expectReadable()
  }, 120_000)

  test('a day of the year 26', async () => {
    expect(await refused('POST', '/fabrications', start({ date: '0026-11-24' }))).toEqual([400, 'date'])
  })
})

test('a clock that nobody stopped, and one of a device without the time, leave everything readable', async () => {
  const marit = newId()
  await send(test_, 'POST', path('/cooks'), { id: marit, name: 'M'.repeat(60), wagePerHour: 20 })
  const state = await startSixChickens(test_, kitchen)
  const clock = (takenAt: string, order: number) => ({
    kind: 'mark',
    id: newId(),
    order,
    fabricationId: state.record.id,
    mark: 'labour-start',
    cookId: marit,
    ratePerHour: 20,
    step: null,
    takenAt,
  })
  expect((await sendFacts(test_, kitchen, clock('1970-01-01T00:00:00.000Z', 1))).status).toBe(200)
  const { body } = await send(test_, 'GET', path(`/fabrications/${state.record.id}/document.json`))
  // So much is asked about, and counts as expected until somebody answers.
  expect(body.labour).toEqual([{ task: 'break down', minutes: 54, ratePerHour: 21.4 }])
  await expectReadable()
  // It can be finished with what the clock says.
  const { record } = (await send(test_, 'GET', path(`/fabrications/${state.record.id}`))).body as FabricationState
  const { labour, version, purchase, consumables, piles, offers, creditPolicy, allocation, confirmed } = {
    ...record,
    labour: [{ task: `break down, ${'M'.repeat(60)}`, minutes: MAX_MINUTES, ratePerHour: 20 }],
  }
  const { date, cookId, supplierId, lot, notes, causes, priceFrom, leftOut, styleId, units } = record
  const kept = { labour, version, purchase, consumables, piles, offers, creditPolicy, allocation, confirmed }
  const told = { date, cookId, supplierId, lot, notes, causes, priceFrom, leftOut, styleId, units }
  const finished = { ...kept, ...told, status: 'closed', labourFrom: 'timed' }
  expect((await send(test_, 'PUT', path(`/fabrications/${record.id}`), finished)).status).toBe(200)
  await expectReadable()
})

test('more taken from a lot than any one weighing may be can be read', async () => {
  const supplierId = await addSupplier(test_, kitchen, 'Ostravale Poultry Yard')
  const lot = {
    ...{
      id: newId(),
      version: 1,
      itemId: items[0]?.id,
      supplierId,
      code: null,
      gtin: null,
      extras: null,
      pieces: null,
    },
    ...{ price: { amount: 4, per: 'kg' }, receivedOn: '2026-11-23', productionDate: null, useBy: null, openedOn: null },
    ...{ isFinished: false, notes: null, checks: [] },
    cases: [{ id: newId(), label: null, serial: null, invoiceWeight: HEAVIEST_GRAMS, weighed: null }],
  }
  expect((await send(test_, 'POST', path('/lots'), lot)).status).toBe(201)
  for (let at = 0; at < 2; at++) {
    const { purchase, ...start } = startOf(styleNamed('Supremes').id)
    const heaviest = { ...purchase, invoiceWeight: HEAVIEST_GRAMS, receivedWeight: HEAVIEST_GRAMS }
    const { status } = await send(test_, 'POST', path('/fabrications'), { ...start, purchase: heaviest, lotId: lot.id })
    expect(status).toBe(201)
  }
  const { body } = await send(test_, 'GET', path('/lots'))
  expect(body[0].usedWeight).toBe(2 * HEAVIEST_GRAMS)
  expect((await send(test_, 'GET', path(`/lots/${lot.id}`))).status).toBe(200)
})

test('whatever is accepted at start can be read', async () => {
  const { purchase, ...start } = startOf(styleNamed('Supremes').id)
  const number = fc.oneof(
    fc.double({ min: 0, max: 2e9, noNaN: true }),
    fc.constantFrom(0, 1e-12, 4e-10, 0.001, 1, 99_999_999.5, 1e8, 1e9),
  )
  await fc.assert(
    fc.asyncProperty(
      fc.record({
        units: fc.oneof(fc.integer({ min: 0, max: 20_000 }), fc.constantFrom(1, MAX_UNITS, 1e6)),
        invoiceWeight: number,
        receivedWeight: number,
        purge: number,
        amount: number,
        extras: number,
      }),
      async ({ units, amount, ...weights }) => {
        const tried = {
          ...start,
          id: newId(),
          units,
          purchase: { ...purchase, ...weights, price: { amount, per: 'kg' } },
        }
        const { status, body } = await send(test_, 'POST', path('/fabrications'), tried)
        expect([201, 400]).toContain(status)
        if (status === 400) expect(body.issues.length).toBeGreaterThan(0)
        const read = await send(test_, 'GET', path(`/fabrications/${tried.id}`))
        expect(read.status).toBe(status === 201 ? 200 : 404)
      },
    ),
    { numRuns: 150, seed: 13 },
  )
  await expectReadable()
})

test('a record that is odd all the same is given as it is, and everything beside it too', async () => {
  const odd = await openTestApp(null, { isOddAllowed: true })
  const home = await setUpKitchen(odd)
  const [sound, spoilt] = [await startSixChickens(odd, home), await startSixChickens(odd, home)]
  const { sequelize } = odd.database
  await sequelize.query('UPDATE fabrications SET units = 0, invoice_weight = 0 WHERE id = ?', {
    replacements: [spoilt.record.id],
  })
  await sequelize.query('UPDATE fabrication_labour SET minutes = 9e8 WHERE fabrication_id = ?', {
    replacements: [spoilt.record.id],
  })
  const rows = await send(odd, 'GET', `/api/kitchens/${home.id}/fabrications`)
  expect(rows.status).toBe(200)
  expect((rows.body as { id: string }[]).map(({ id }) => id).sort()).toEqual(
    [sound, spoilt].map((entry) => entry.record.id).sort(),
  )
  const read = await send(odd, 'GET', `/api/kitchens/${home.id}/fabrications/${spoilt.record.id}`)
  expect([read.status, read.body.record.units]).toEqual([200, 0])
  expect((await send(odd, 'GET', `/api/kitchens/${home.id}/turned`)).status).toBe(200)
  await odd.close()
})
