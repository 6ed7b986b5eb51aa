import { editOf } from '@fleam/contract/fabrication/edit'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import type {
  LogbookCurve,
  LogbookLearning,
  LogbookSeasons,
  LogbookTurns,
  LogbookView,
} from '@fleam/contract/logbook/findings'
import type { LogbookChanges, LogbookDoubts, LogbookPage, LogbookSeries } from '@fleam/contract/logbook/schemas'
import type { SupplierCards } from '@fleam/contract/supplier-card/schemas'
import { addDays } from '@fleam/core/calendar'
import { pastRecords } from '@fleam/demo'
import { v7 as newId } from 'uuid'
import { addSupplier, openTestApp, send, setUpKitchen, type TestApp } from '../../test/harness.ts'

/** Eighteen months of a kitchen, in which effects are hidden that have to be found without being told where to look. */
let house: TestApp
let kitchen: { id: string }
const suppliers: Record<string, string> = {}
const path = (rest: string) => `/api/kitchens/${kitchen.id}${rest}`
const get = async <T>(rest: string): Promise<T> => {
  const { status, body } = await send(house, 'GET', path(rest))
  if (status !== 200) throw new Error(JSON.stringify(body) + rest)
  return body as T
}

beforeAll(async () => {
  house = await openTestApp()
  kitchen = await setUpKitchen(house)
  for (const name of ['Marit', 'Ondine', 'Casimir', 'Thessaly', 'Bruno']) {
    await send(house, 'POST', path('/cooks'), { id: newId(), name, wagePerHour: 21.4 })
  }
  for (const name of ['Ostravale Poultry Yard', 'Brindlemere Meats', 'Skerrow Quay Fish']) {
    suppliers[name] = await addSupplier(house, kitchen, name)
  }
  const today = new Date().toISOString().slice(0, 10)
  const records = pastRecords(today).map(({ id, document }) => ({ id, document }))
  const payload = { format: 'fleam/logbook', version: 1, records }
  const { body } = await house.app.inject({ method: 'POST', url: path('/logbook/import'), payload })
  if (body.includes('problem')) throw new Error(body)
}, 60_000)
afterAll(() => house.close())

test('the new cook is found, in yield and in minutes, with her curve and its band', async () => {
  const { improving } = await get<LogbookLearning>('/logbook/learning')
  expect(improving.map(({ cookName, what }) => [cookName, what])).toEqual([
    ['Bruno', 'portion-yield'],
    ['Bruno', 'minutes'],
  ])
  const [{ item, style, cook, records }] = improving as [LogbookLearning['improving'][number]]
  const { yields, minutes } = await get<LogbookCurve>(`/logbook/curve?item=${item}&style=${style}&cook=${cook}`)
  expect(yields).toHaveLength(records)
  expect(minutes.at(-1)?.fit).toBeLessThan(minutes[0]?.fit ?? 0)
  expect(yields.every(({ fit, low, high }) => (low ?? 0) < (fit ?? 0) && (fit ?? 0) < (high ?? 0))).toBe(true)
})

test('practice that would pay is told with what it is worth and where it goes', async () => {
  const { practice } = await get<LogbookLearning>('/logbook/learning')
  const [first] = practice as [LogbookLearning['practice'][number]]
  expect(first.moneyPerWeek).toBeCloseTo((first.house - first.own) * first.kilosPerWeek * first.costPerKg, 9)
  expect(practice.map(({ moneyPerWeek }) => moneyPerWeek)).toEqual(
    practice.map(({ moneyPerWeek }) => moneyPerWeek).sort((a, b) => b - a),
  )
  expect(first.pile?.difference).toBeGreaterThan(0)
})

test('the price that made buying cheaper for a while is two turns of the tenderloin', async () => {
  const { turns } = await get<LogbookTurns>('/logbook/turns')
  const loin = turns.filter(({ itemName }) => itemName.startsWith('Beef tenderloin'))
  expect(loin.map(({ to }) => to)).toEqual(['make', 'buy'])
  expect(loin[1]?.cost.now).toBeGreaterThan(loin[1]?.cost.before ?? 0)
})

test('the week in which bones were thrown away stands out', async () => {
  const { weeks } = await get<LogbookTurns>('/logbook/turns')
  expect(weeks[0]).toMatchObject({ view: 'unused' })
  expect(weeks[0]?.amount).toBeGreaterThan(2 * (weeks[0]?.usual ?? 0))
})

test('the fat of lamb goes with the winter, and nothing else with the year', async () => {
  const { seasons } = await get<LogbookSeasons>('/logbook/seasons')
  expect(new Set(seasons.map(({ itemName }) => itemName))).toEqual(new Set(['Lamb rack, eight ribs, chined, cap on']))
  const fat = seasons.find(({ name }) => name.startsWith('fat'))
  expect([12, 1, 2]).toContain(fat?.most)
  expect([6, 7, 8]).toContain(fat?.least)
})

test('hake that gives less is the only change, and no cook’s alone', async () => {
  const { changes } = await get<LogbookChanges>('/logbook/changes')
  expect(changes.map(({ name }) => name)).toEqual(['Hake, gutted, head off: Skin-on portions'])
  const { key, item } = changes[0] as LogbookChanges['changes'][number]
  expect(changes[0]?.attributions.filter(({ of }) => of === 'cook')).toMatchObject([{ kind: 'all', held: [] }])
  const { signals, points } = await get<LogbookSeries>(`/logbook/chart?item=${item}&style=${key}`)
  const last = signals.at(-1)
  expect(last).toMatchObject({ side: 'low', to: points.length - 1 })
  expect(last?.moved?.name).toBe('portions')
  expect((last?.moved?.difference ?? 0) * (last?.against?.difference ?? 0)).toBeLessThan(0)
})

test('the mistakes are doubted, and no sound record is', async () => {
  const { doubts, records } = await get<LogbookDoubts>('/logbook/doubts')
  expect(records).toBeGreaterThan(300)
  expect(doubts.map(({ why }) => why.kind)).toEqual(['pile', 'pile'])
})

test('what somebody stands by is doubted no more, here and where its file is taken in', async () => {
  const { doubts } = await get<LogbookDoubts>('/logbook/doubts')
  const [{ id, why }] = doubts as [LogbookDoubts['doubts'][number]]
  const { record } = await get<FabricationState>(`/fabrications/${id}`)
  expect((await send(house, 'PUT', path(`/fabrications/${id}`), editOf(record, { settled: [why.kind] }))).status).toBe(
    200,
  )
  expect((await get<LogbookDoubts>('/logbook/doubts')).doubts.map((doubt) => doubt.id)).not.toContain(id)
  const file = await house.app.inject({ url: path(`/logbook/records.json?id=${id}`) })
  expect(file.json().records).toMatchObject([{ id, settled: [why.kind] }])
})

test('the cheaper chicken yields worse: the card of its supplier says so', async () => {
  const cards = await get<SupplierCards>('/supplier-cards')
  expect(cards.map(({ name }) => name)).toEqual(['Brindlemere Meats', 'Ostravale Poultry Yard', 'Skerrow Quay Fish'])
  const [brindlemere] = cards as [SupplierCards[number]]
  expect(brindlemere.yieldAgainstStyle?.high).toBeLessThan(0)
  const chicken = brindlemere.items.find(({ itemName }) => itemName.startsWith('Chicken'))
  expect(chicken?.others.records).toBeGreaterThan(10)
  expect(await get(`/supplier-cards?from=2001-01-01&to=2001-02-01`)).toEqual([])
})

test('suppliers that are made one are one in what was counted too', async () => {
  const count = async () => (await get<SupplierCards>('/supplier-cards')).map(({ name, records }) => [name, records])
  const before = await count()
  const { status } = await send(house, 'POST', path(`/suppliers/${suppliers['Skerrow Quay Fish']}/merge`), {
    into: suppliers['Ostravale Poultry Yard'],
  })
  expect(status).toBeLessThan(300)
  expect(await count()).toEqual([
    before[0],
    ['Ostravale Poultry Yard', Number(before[1]?.[1]) + Number(before[2]?.[1])],
  ])
})

test('a span of days is one page; the wrong way round it is none', async () => {
  const to = new Date().toISOString().slice(0, 10)
  const url = (from: string) => path(`/logbook/period.pdf?from=${from}&to=${to}`)
  const page = await house.app.inject({ url: url(addDays(to, -90)) })
  expect(page.statusCode).toBe(200)
  expect(page.rawPayload.subarray(0, 5).toString()).toBe('%PDF-')
  expect(page.rawPayload.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(1)
  expect((await house.app.inject({ url: url(addDays(to, 1)) })).statusCode).toBe(400)
})

test('views are kept under a name, once however often, and forgotten', async () => {
  const view = { id: newId(), name: 'Fish', search: '?period=28&item=x' }
  const keep = (changes: Partial<LogbookView> = {}) =>
    send(house, 'POST', path('/logbook/views'), { ...view, ...changes })
  expect((await keep()).status).toBe(201)
  expect((await keep()).body).toEqual([view])
  expect((await keep({ id: newId(), search: '?period=7' })).body).toEqual([{ ...view, search: '?period=7' }])
  expect((await keep({ search: 'period=7' })).body.issues[0].path).toBe('search')
  expect((await send(house, 'DELETE', path(`/logbook/views/${view.id}`))).body).toEqual([])
})

test('some records are asked for by their ids', async () => {
  const { rows } = await get<LogbookPage>('/logbook/records')
  const [a, b] = rows as [LogbookPage['rows'][number], LogbookPage['rows'][number]]
  const some = await get<LogbookPage>(`/logbook/records?id=${a.id}&id=${b.id}&order=ascending`)
  expect(some.total).toBe(2)
  expect(new Set(some.rows.map(({ id }) => id))).toEqual(new Set([a.id, b.id]))
})
