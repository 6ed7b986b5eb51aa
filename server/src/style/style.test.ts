import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { Item, Style, StyleFile } from '@fleam/core/style'
import { withOwnPiles } from '@fleam/core/style'
import { v7 as newId } from 'uuid'
import { openTestApp, send, setUpKitchen, startOf, type TestApp } from '../../test/harness.ts'

let test_: TestApp
let kitchen: Kitchen
let items: Item[]
const path = (suffix: string) => `/api/kitchens/${kitchen.id}${suffix}`
const listed = async (): Promise<Item[]> => (await send(test_, 'GET', path('/items'))).body
const chicken = () => items[0] as Item
const supremes = () => chicken().styles[0] as Style
/** A style with ids of its own, as the page makes one. */
const copyOf = (style: Style): Style => ({
  ...withOwnPiles(style, newId),
  id: newId(),
})

beforeAll(async () => {
  test_ = await openTestApp()
})
beforeEach(async () => {
  kitchen = await setUpKitchen(test_)
  items = await listed()
})
afterAll(() => test_.close())

test('a new kitchen has the whole catalogue, each style with its steps', () => {
  expect(items.length).toBeGreaterThanOrEqual(20)
  expect(items.map((item) => item.name)).toContain('Beef tenderloin, peeled, side muscle on')
  for (const { styles } of items)
    for (const { steps, piles } of styles) expect([steps.length > 0, piles.length > 0]).toEqual([true, true])
  expect(chicken()).toMatchObject({ drawing: 'bird', isArchived: false })
  expect(supremes().piles[0]).toMatchObject({
    name: 'supremes',
    region: 'breast',
    bounds: { target: 280, low: 235, high: 310 },
  })
})

describe('a style of the kitchen’s own', () => {
  const copy = (): Style => ({ ...copyOf(supremes()), name: 'Supremes, ours' })

  test('is a copy that may be changed while the first stays as it was', async () => {
    const own = copy()
    const added = await send(test_, 'POST', path(`/items/${chicken().id}/styles`), own)
    expect([added.status, added.body.version]).toEqual([201, 1])
    const [first, ...steps] = added.body.steps
    const changed = { ...added.body, minutesPerUnit: 7.5, steps: [...steps, first], isArchived: true }
    const { status, body } = await send(test_, 'PUT', path(`/styles/${own.id}`), changed)
    expect([status, body.version]).toEqual([200, 2])
    const after = (await listed())[0]?.styles
    expect(after?.find((style) => style.id === own.id)).toEqual({ ...changed, version: 2 })
    expect(after?.find((style) => style.id === supremes().id)).toEqual(supremes())
  })

  test('refuses a stale edit and shows the style as it is', async () => {
    await send(test_, 'PUT', path(`/styles/${supremes().id}`), { ...supremes(), minutesPerUnit: 8 })
    const { status, body } = await send(test_, 'PUT', path(`/styles/${supremes().id}`), {
      ...supremes(),
      minutesPerUnit: 7,
    })
    expect([status, body.code]).toEqual([409, 'stale-version'])
    expect(body.current).toMatchObject({ version: 2, minutesPerUnit: 8 })
  })

  test('refuses a name that is taken, with the field, and keeps everything', async () => {
    const taken = await send(test_, 'POST', path(`/items/${chicken().id}/styles`), { ...copy(), name: supremes().name })
    expect([taken.status, taken.body.code, taken.body.issues[0].path]).toEqual([409, 'id-taken', 'name'])
    const renamed = await send(test_, 'PUT', path(`/styles/${supremes().id}`), {
      ...supremes(),
      name: chicken().styles[1]?.name,
    })
    expect([renamed.status, renamed.body.issues[0].path]).toEqual([409, 'name'])
    expect(await listed()).toEqual(items)
  })

  test('is no other kitchen’s business', async () => {
    const other = await setUpKitchen(test_, 'Other')
    const stranger = `/api/kitchens/${other.id}`
    const answers = await Promise.all([
      send(test_, 'PUT', `${stranger}/styles/${supremes().id}`, supremes()),
      send(test_, 'POST', `${stranger}/items/${chicken().id}/styles`, copy()),
      send(test_, 'GET', `${stranger}/styles/${supremes().id}/style.json`),
      send(test_, 'PUT', `${stranger}/items/${chicken().id}`, itemEdit(chicken())),
    ])
    expect(answers.map((answer) => answer.status)).toEqual([404, 404, 404, 404])
    expect(await listed()).toEqual(items)
  })
})

const itemEdit = ({ id: _id, styles: _styles, ...edit }: Item) => edit

test('an item is archived and renamed, and its styles stay', async () => {
  const { body } = await send(test_, 'PUT', path(`/items/${chicken().id}`), {
    ...itemEdit(chicken()),
    name: 'Hen',
    isArchived: true,
  })
  expect(body).toMatchObject({ name: 'Hen', isArchived: true })
  expect(body.styles).toEqual(chicken().styles)
})

test('an item of the kitchen’s own is there once however often it is sent', async () => {
  const own = { ...chicken(), id: newId(), name: 'Our hen', styles: [copyOf(supremes())] }
  for (let time = 0; time < 2; time++) expect((await send(test_, 'POST', path('/items'), own)).status).toBe(201)
  expect((await listed()).filter((item) => item.name === 'Our hen')).toHaveLength(1)
})

describe('style files', () => {
  test('a style comes back as it was, on the item of its name and under a free name', async () => {
    const file: StyleFile = (await send(test_, 'GET', path(`/styles/${supremes().id}/style.json`))).body
    expect(file).toMatchObject({ format: 'fleam/style', version: 1, item: { name: chicken().name } })
    expect(file.style).not.toHaveProperty('id')
    const id = newId()
    const imported = await send(test_, 'POST', path(`/styles/import?id=${id}`), file)
    expect([imported.status, imported.body.name]).toEqual([201, `${supremes().name} (2)`])
    const again = await send(test_, 'POST', path(`/styles/import?id=${id}`), file)
    expect(again.body).toEqual(imported.body)
    // Its piles are its own, and what names them in the file refers to these.
    const own = new Set(imported.body.piles.map((pile: { id: string }) => pile.id))
    expect(supremes().piles.filter((pile) => own.has(pile.id))).toEqual([])
    expect(imported.body.steps.flatMap((step: Style['steps'][number]) => step.pileIds).every(own.has, own)).toBe(true)
    const written: StyleFile = (await send(test_, 'GET', path(`/styles/${id}/style.json`))).body
    expect(written.style).toEqual({ ...file.style, name: imported.body.name })
  })

  test('brings its item along where the kitchen has none of that name', async () => {
    const file: StyleFile = (await send(test_, 'GET', path(`/styles/${supremes().id}/style.json`))).body
    file.item.name = 'Bantam'
    await send(test_, 'POST', path(`/styles/import?id=${newId()}`), file)
    const bantam = (await listed()).find((item) => item.name === 'Bantam')
    expect(bantam?.styles.map((style) => style.name)).toEqual([supremes().name])
  })

  test('prices come along in the currency of the kitchen alone', async () => {
    const own = { ...copyOf(supremes()), name: 'Priced', consumables: [{ name: 'string', costPerUnit: 0.05 }] }
    own.piles = own.piles.map((pile, index) => ({ ...pile, valuePerKg: index === 2 ? 2.5 : null }))
    await send(test_, 'POST', path(`/items/${chicken().id}/styles`), own)
    const file: StyleFile = (await send(test_, 'GET', path(`/styles/${own.id}/style.json`))).body
    expect(file.currency).toBe(kitchen.currency)
    const pricesAfter = async (currency: string | undefined) => {
      const sent = await send(test_, 'POST', path(`/styles/import?id=${newId()}`), { ...file, currency })
      const { piles, consumables } = sent.body as Style
      return [sent.status, piles[2]?.valuePerKg, consumables[0]?.costPerUnit]
    }
    expect(await pricesAfter(kitchen.currency)).toEqual([201, 2.5, 0.05])
    expect(await pricesAfter(kitchen.currency === 'EUR' ? 'USD' : 'EUR')).toEqual([201, null, null])
    expect(await pricesAfter(undefined)).toEqual([201, null, null])
  })

  test('a file that is none is refused with the field', async () => {
    const { status, body } = await send(test_, 'POST', path(`/styles/import?id=${newId()}`), { format: 'x' })
    expect(status).toBe(400)
    expect(body.issues.map((issue: { path: string }) => issue.path)).toContain('format')
  })
})

test('what the catalogue has and the kitchen has not is added, once', async () => {
  await send(test_, 'PUT', path(`/items/${chicken().id}`), { ...itemEdit(chicken()), name: 'Hen' })
  const first = await send(test_, 'POST', path('/items/from-catalogue'))
  expect(first.body).toHaveLength(items.length + 1)
  expect((await send(test_, 'POST', path('/items/from-catalogue'))).body).toHaveLength(items.length + 1)
})

describe('what was chosen', () => {
  const start = async (changes: object): Promise<FabricationState['record']> => {
    const { status, body } = await send(test_, 'POST', path('/fabrications'), { ...startOf(supremes().id), ...changes })
    expect(status).toBe(201)
    return body.record
  }

  test('settles steps, shares, minutes and order of the fabrication', async () => {
    const usual = await start({})
    expect(usual.steps.map((step) => step.id)).toEqual(supremes().steps.map((step) => step.id))
    const record = await start({ chosen: { wishbone: 'left', order: 'breasts-first' }, rhythm: 'step' })
    expect(record).toMatchObject({ rhythm: 'step', units: 6, drawing: 'bird', styleId: supremes().id })
    expect(record.steps.map((step) => step.id)).not.toContain('wishbone')
    expect(record.steps.map((step) => step.id).indexOf('supremes')).toBeLessThan(
      record.steps.map((step) => step.id).indexOf('legs'),
    )
    expect(record.steps.find((step) => step.id === 'supremes')?.regions).toEqual(['breast'])
    expect(record.choices).toContainEqual({ question: 'Wishbone', choice: 'Leave it' })
    expect(record.labour[0]?.minutes).toBe(8.5 * 6)
    expect(record.piles[0]?.expectedShare).toBeCloseTo(0.267, 9)
  })

  test('is refused where the style has no such choice, and nothing is started', async () => {
    for (const chosen of [{ wishbone: 'nonsense' }, { colour: 'red' }]) {
      const request = { ...startOf(supremes().id), chosen }
      const { status, body } = await send(test_, 'POST', path('/fabrications'), request)
      expect([status, body.code, body.issues[0].path]).toEqual([
        400,
        'invalid-input',
        `chosen.${Object.keys(chosen)[0]}`,
      ])
      expect((await send(test_, 'GET', path(`/fabrications/${request.id}`))).status).toBe(404)
    }
  })

  test('stays as it was when the style changes later', async () => {
    const record = await start({})
    await send(test_, 'PUT', path(`/styles/${supremes().id}`), { ...supremes(), steps: [] })
    const { body } = await send(test_, 'GET', path(`/fabrications/${record.id}`))
    expect(body.record.steps).toEqual(record.steps)
  })

  test('brings the consumables of the style, at what the kitchen says they cost', async () => {
    const loins = items.find((item) => item.drawing === 'loin') as Item
    const bonded = loins.styles.find((style) => style.consumables.length > 0) as Style
    const priced = bonded.consumables.map((consumable) => ({ ...consumable, costPerUnit: 1.5 }))
    await send(test_, 'PUT', path(`/styles/${bonded.id}`), { ...bonded, consumables: priced })
    const { body } = await send(test_, 'POST', path('/fabrications'), startOf(bonded.id))
    expect(body.record.consumables).toEqual(priced.map(({ name }) => ({ name, cost: 9 })))
  })
})
