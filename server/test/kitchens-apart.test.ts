import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { QueryTypes } from 'sequelize'
import { type Asked, fillKitchen } from './fill-kitchen.ts'
import { openTestApp, setUpKitchen, type TestApp } from './harness.ts'

let test_: TestApp
let home: Kitchen
let other: Kitchen
let asked: Asked[]

beforeAll(async () => {
  test_ = await openTestApp()
  ;[home, other] = [await setUpKitchen(test_, 'Home'), await setUpKitchen(test_, 'Other')]
  asked = await fillKitchen(test_, home)
}, 60_000)
afterAll(() => test_.close())

/** Every row of every table that belongs to a kitchen. */
async function everythingOf({ id }: Kitchen): Promise<Record<string, unknown[]>> {
  const { sequelize } = test_.database
  const tables = await sequelize.query<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.columns
     WHERE table_schema = DATABASE() AND column_name = 'kitchen_id' ORDER BY table_name`,
    { type: QueryTypes.SELECT },
  )
  const all: Record<string, unknown[]> = {}
  for (const { name } of tables) {
    const rows = await sequelize.query(`SELECT * FROM ${name} WHERE kitchen_id = ?`, {
      replacements: [id],
      type: QueryTypes.SELECT,
    })
    all[name] = rows.map((row) => JSON.stringify(row)).sort()
  }
  return all
}

const ID = /^[0-9a-f]{8}-[0-9a-f-]{27}$/

/** The same with other words and numbers, so that a change would be seen; ids, days, instants and kinds stay. */
function changed(value: unknown, key = ''): unknown {
  if (Array.isArray(value)) return value.map((entry) => changed(entry, key))
  if (value !== null && typeof value === 'object')
    return Object.fromEntries(Object.entries(value).map(([field, each]) => [field, changed(each, field)]))
  if (key === 'name' && typeof value === 'string' && !ID.test(value)) return `${value} x`
  if (
    ['delivery', 'grams', 'wagePerHour', 'amount', 'minutes', 'boardMinutes'].includes(key) &&
    typeof value === 'number'
  )
    return value + 1
  return key === 'notes' ? 'changed by a stranger' : value
}

const operationOf = ({ method, url }: Asked): string => {
  const path = url.split('?')[0] as string
  const paths = Object.keys(test_.app.swagger().paths ?? {})
  const found = paths
    .filter((other) => new RegExp(`^${other.replace(/\{[^}]+\}/g, '[^/]+')}$`).test(path))
    .sort((a, b) => a.split('{').length - b.split('{').length)[0]
  return `${method.toLowerCase()} ${found}`
}

test('whatever one kitchen asks, asked again through another one, leaves the first as it was', async () => {
  const before = await everythingOf(home)
  expect(Object.values(before).filter((rows) => rows.length > 0).length).toBeGreaterThan(15)
  for (const { method, url, payload } of asked) {
    const through = url.replace(home.id, other.id)
    for (const body of payload === undefined ? [undefined] : [payload, changed(payload)]) {
      const answer = await test_.app.inject({
        method,
        url: through,
        ...(body === undefined ? {} : { payload: body as object }),
      })
      expect({ method, through, isFault: answer.statusCode === 500 }).toEqual({ method, through, isFault: false })
      expect({ method, through, left: await everythingOf(home) }).toEqual({ method, through, left: before })
    }
  }
}, 120_000)

/** What a kitchen answers to every address of its own. */
async function answersOf({ id }: Kitchen): Promise<Record<string, string>> {
  const answers: Record<string, string> = {}
  const urls = new Set(asked.map(({ url }) => url.replace(home.id, id)))
  const paths = Object.entries(test_.app.swagger().paths ?? {}).filter(([, each]) => 'get' in (each ?? {}))
  const lists = paths.map(([path]) => path.replace('{kitchenId}', id)).filter((path) => !path.includes('{'))
  for (const url of [...urls, ...lists.filter((path) => path.includes(id))]) {
    const { statusCode, body } = await test_.app.inject({ url })
    answers[url] = `${statusCode} ${body}`
  }
  return answers
}

test('two kitchens that use the same ids each read what is their own', async () => {
  const before = await answersOf(other)
  expect(Object.values(before).filter((text) => text.startsWith('200 ')).length).toBeGreaterThan(10)
  // Everything that has a name or a number at home gets another one.
  for (const { method, url, payload } of asked.filter((request) => request.method === 'PUT')) {
    await test_.app.inject({ method, url, payload: changed(payload) as object })
  }
  expect(await answersOf(other)).toEqual(before)
})

test('nothing of one kitchen is read through one that has nothing', async () => {
  const empty = await setUpKitchen(test_, 'Empty')
  const ids = new Set(
    asked.flatMap(({ url }) => url.split(/[/?=&]/).filter((word) => ID.test(word) && word !== home.id)),
  )
  const reads = Object.entries(test_.app.swagger().paths ?? {}).filter(
    ([path, each]) => path.includes('{kitchenId}') && 'get' in (each ?? {}),
  )
  expect(reads.length).toBeGreaterThan(20)
  for (const [path] of reads.filter(([each]) => each.split('{').length === 3)) {
    for (const id of ids) {
      const url = path.replace('{kitchenId}', empty.id).replace(/\{[^}]+\}/, id)
      expect({ url, isGiven: (await test_.app.inject({ url })).statusCode === 200 }).toEqual({ url, isGiven: false })
    }
  }
})

test('every operation that changes a kitchen is among them', () => {
  const tried = new Set(asked.map(operationOf))
  const missing = Object.entries(test_.app.swagger().paths ?? {}).flatMap(([path, methods]) =>
    Object.keys(methods ?? {})
      .filter((method) => method !== 'get' && path.includes('{kitchenId}'))
      .map((method) => `${method} ${path}`)
      .filter((operation) => !tried.has(operation)),
  )
  expect(missing).toEqual([])
})
