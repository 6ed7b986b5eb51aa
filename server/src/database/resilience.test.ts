import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { type PrivateDatabase, startPrivateDatabase } from '../../../tools/private-database.ts'
import { isAlive, until } from '../../../tools/processes.ts'
import { openTestApp, send, sendFacts, setUpKitchen, startSixChickens, weighing } from '../../test/harness.ts'
import { createTemplate } from '../../test/template.ts'

/** A database of its own, because it is killed here. */
let folder: string
let database: PrivateDatabase
const everyday = process.env.FLEAM_TEST_DATABASE_URL

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'fleam-kill-'))
  database = await startPrivateDatabase(folder)
  await createTemplate(database.url)
  process.env.FLEAM_TEST_DATABASE_URL = database.url
}, 60_000)
afterAll(async () => {
  await database.stop()
  process.env.FLEAM_TEST_DATABASE_URL = everyday
  rmSync(folder, { recursive: true, force: true })
})

test('every acknowledged reading survives kill -9 of the database, which is 503 meanwhile and comes back by itself', async () => {
  const test_ = await openTestApp()
  const kitchen = await setUpKitchen(test_)
  const { record } = await startSixChickens(test_, kitchen)
  const path = `/api/kitchens/${kitchen.id}/fabrications/${record.id}`
  const weigh = (grams: number) => {
    const reading = weighing(record.id, record.piles[0]?.id as string, grams)
    return sendFacts(test_, kitchen, reading).then((answer) => ({ ...answer, reading }))
  }

  // Twenty devices weigh without a pause; the database is killed in the middle of it.
  const acknowledged: string[] = []
  let isKilled = false
  const device = async () => {
    for (let at = 0; at < 200; at++) {
      const { status, reading } = await weigh(100 + at)
      if (status === 200) acknowledged.push(reading.id)
      else if (isKilled) return status
    }
    return 200
  }
  const devices = Array.from({ length: 20 }, device)
  await until(() => acknowledged.length > 200, { timeoutMs: 20_000, everyMs: 5 })
  isKilled = true
  process.kill(database.process.pid as number, 'SIGKILL')
  const ends = await Promise.all(devices)
  expect(new Set(ends)).toEqual(new Set([503]))
  await until(() => !isAlive(database.process.pid as number), { timeoutMs: 5_000, everyMs: 20 })

  const away = await weigh(1)
  expect(away.body).toMatchObject({ code: 'database-away', status: 503 })
  expect((await send(test_, 'GET', '/api/health')).body.database).toBe('down')

  database = await startPrivateDatabase(folder)
  await until(async () => (await send(test_, 'GET', '/api/health')).status === 200, { timeoutMs: 20_000, everyMs: 50 })
  const state: FabricationState = (await send(test_, 'GET', path)).body
  const stored = new Set(state.facts.map((fact) => fact.id))
  expect(acknowledged.filter((id) => !stored.has(id))).toEqual([])
  expect((await weigh(281)).status).toBe(200)
  await test_.close()
}, 90_000)

test('a full disk is said in words and in health, and what waited is stored once there is room', async () => {
  const test_ = await openTestApp()
  const kitchen = await setUpKitchen(test_)
  const { record } = await startSixChickens(test_, kitchen)
  const readings = [1, 2, 3].map((grams) => weighing(record.id, record.piles[0]?.id as string, grams, grams))
  const health = async () => (await send(test_, 'GET', '/api/health')).body.disk
  // The database's own refusal, by its own number, as it comes where a table cannot grow.
  const { sequelize } = test_.database
  await sequelize.query(
    "CREATE TRIGGER no_room BEFORE INSERT ON facts FOR EACH ROW SIGNAL SQLSTATE 'HY000' SET MYSQL_ERRNO = 1114, MESSAGE_TEXT = 'The table is full'",
  )
  const { status, body } = await sendFacts(test_, kitchen, ...readings)
  expect([status, body.code]).toEqual([503, 'disk-full'])
  expect(body.kept).toContain('Nothing of this was stored')
  expect(await health()).toBe('full')
  await sequelize.query('DROP TRIGGER no_room')
  expect((await sendFacts(test_, kitchen, ...readings)).body.kept).toHaveLength(3)
  expect(await health()).toBe('room')
  const state: FabricationState = (await send(test_, 'GET', `/api/kitchens/${kitchen.id}/fabrications/${record.id}`))
    .body
  expect(state.facts).toHaveLength(3)
  await test_.close()
}, 60_000)
