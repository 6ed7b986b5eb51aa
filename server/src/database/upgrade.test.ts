import { randomBytes } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { appraise } from '@fleam/core/appraisal'
import type { FabricationDocument } from '@fleam/core/fabrication'
import { Sequelize } from 'sequelize'
import { buildApp } from '../app.ts'
import { ScaleGateway } from '../scale/gateway.ts'
import { type Database, migrate, migrationState, openDatabase, parsedJsonOf, UnusableDatabase } from './index.ts'
import { up as schedulesFollowed } from './migrations/031-schedules-followed.ts'
import { up as lastDays } from './migrations/034-last-days.ts'
import { up as stepMinutes } from './migrations/037-step-minutes.ts'
import { up as heldByPlans } from './migrations/038-held-by-plans.ts'
import { up as platesAndPins } from './migrations/039-plates-and-pins.ts'

/**
 * A database as the version before facts and ids left it: the demo kitchens, and what else may be there. Two suppliers
 * that differ in capitals alone, items renamed after records and prices were made of them, weighings with more digits
 * than a scale has, a document of names that fit nothing, one withdrawal, one move, clocks, a measured cut, a what-if.
 */
const OLD = gunzipSync(readFileSync(join(__dirname, '../../test/upgrade/version-005.sql.gz'))).toString()
const BEFORE = JSON.parse(
  readFileSync(join(__dirname, '../../test/upgrade/version-005-documents.json'), 'utf8'),
) as Record<string, { kitchenId: string; document: FabricationDocument }>

let admin: Sequelize
const opened: { database: Database; name: string }[] = []
let folder: string

beforeAll(() => {
  admin = new Sequelize(process.env.FLEAM_TEST_DATABASE_URL as string, { dialect: 'mysql', logging: false })
  folder = mkdtempSync(join(tmpdir(), 'fleam-backups-'))
})
afterAll(async () => {
  for (const { database, name } of opened) {
    await database.sequelize.close()
    await admin.query(`DROP DATABASE ${name}`)
  }
  await admin.close()
  rmSync(folder, { recursive: true, force: true })
})

/** The old database, as if this version were installed over it. */
async function oldDatabase(): Promise<Database> {
  const name = `fleam_${randomBytes(6).toString('hex')}`
  await admin.query(`CREATE DATABASE ${name}`)
  const url = new URL(process.env.FLEAM_TEST_DATABASE_URL as string)
  url.pathname = `/${name}`
  const loading = new Sequelize(url.href, {
    dialect: 'mysql',
    logging: false,
    pool: { max: 1 },
    dialectOptions: { multipleStatements: true },
  })
  await loading.query(`SET foreign_key_checks = 0;\n${OLD}`)
  await loading.close()
  const database = openDatabase(url.href)
  opened.push({ database, name })
  return database
}

const columnOf = async ({ sequelize }: Database, sql: string) => {
  const [rows] = await sequelize.query(sql)
  return (rows as Record<string, unknown>[]).map((row) => Object.values(row)[0])
}

const jsonOf = async (database: Database, sql: string): Promise<unknown[]> =>
  (await columnOf(database, sql)).map((json) => (typeof json === 'string' ? JSON.parse(json) : json))

/** Every document of the old database, as this version reads it now. */
async function expectSameAppraisals(database: Database): Promise<void> {
  const app = await buildApp({ database, scale: new ScaleGateway(null) })
  for (const [id, { kitchenId, document }] of Object.entries(BEFORE)) {
    const response = await app.inject({ url: `/api/kitchens/${kitchenId}/fabrications/${id}/document.json` })
    const now = response.json() as FabricationDocument
    // Its open record was weighed beyond whole milligrams, and a clock that runs lowers its labour no more.
    const { status } = (await app.inject({ url: `/api/kitchens/${kitchenId}/fabrications/${id}` })).json().record
    const [before, after] = [
      appraise(document),
      appraise(status === 'open' ? { ...now, labour: document.labour } : now),
    ]
    expect(after.piles.map((pile) => pile.name)).toEqual(before.piles.map((pile) => pile.name))
    before.piles.forEach((pile, index) => {
      expect(Math.abs((after.piles[index]?.weight ?? 0) - pile.weight)).toBeLessThan(0.001)
    })
    expect(after.cost.net).toBeCloseTo(before.cost.net, 6)
    expect(after.comparisons.map((comparison) => comparison.verdict)).toEqual(
      before.comparisons.map((comparison) => comparison.verdict),
    )
    before.comparisons.forEach((comparison, index) => {
      expect(after.comparisons[index]?.saving).toBeCloseTo(comparison.saving as number, 4)
    })
    expect(after.warnings.map((warning) => warning.code)).toEqual(before.warnings.map((warning) => warning.code))
  }
  await app.close()
}

test('a database of the version before is brought up to date, keeps everything and appraises the same', async () => {
  const database = await oldDatabase()
  expect(await migrationState(database.sequelize)).toMatchObject({ applied: 5 })
  await migrate(database.sequelize, { backups: folder, now: new Date('2026-11-25T22:00:00.000Z') })
  expect(await migrationState(database.sequelize)).toMatchObject({ pending: 0 })
  await expectSameAppraisals(database)

  // Minutes of finished records go on speaking for their style; those of an open one are the style's.
  const sources = 'SELECT DISTINCT CONCAT(status, " ", labour_from) AS said FROM fabrications ORDER BY said'
  expect(await columnOf(database, sources)).toEqual(['closed typed', 'open assumed'])

  // The schema as it was is written before the first change.
  const [backup] = readdirSync(folder)
  expect(backup).toContain('005-measured-cuts')
  const written = readFileSync(join(folder, backup as string), 'utf8')
  expect(written).toContain('CREATE TABLE `reading_voids`')
  expect(written).toContain('-- readings: 601 rows')

  // One supplier whatever its capitals; every record, article and lot found its own.
  const suppliers = await columnOf(database, "SELECT name FROM suppliers WHERE name LIKE 'larkspur%'")
  expect(suppliers).toHaveLength(1)
  expect(await columnOf(database, 'SELECT COUNT(*) FROM fabrications WHERE supplier_id IS NULL')).toEqual([0])
  expect(await columnOf(database, 'SELECT COUNT(*) FROM facts')).toEqual([607])
  expect(
    await columnOf(
      database,
      "SELECT COUNT(*) FROM facts WHERE kind = 'mark' AND mark <> 'step-done' AND cook_id IS NULL",
    ),
  ).toEqual([0])
  // Renamed since: what was tied to the old names is tied to the same items.
  expect(
    await columnOf(
      database,
      'SELECT items.name FROM articles JOIN items ON items.id = articles.item_id WHERE code = "OY-20"',
    ),
  ).toEqual(['Duck from the lake'])
  expect(
    await columnOf(
      database,
      'SELECT items.name FROM articles JOIN items ON items.id = articles.item_id WHERE code = "BM-9"',
    ),
  ).toEqual(['Eye of rib'])
  expect(await columnOf(database, 'SELECT COUNT(*) FROM lots WHERE item_id IS NULL')).toEqual([0])
  expect(
    await columnOf(database, 'SELECT COUNT(*) FROM articles WHERE item_id IS NULL AND product_id IS NULL'),
  ).toEqual([0])
  // What lies on a pile is what its style says.
  expect(
    await columnOf(
      database,
      `SELECT COUNT(*) FROM fabrication_piles JOIN style_piles ON style_piles.id = fabrication_piles.style_pile_id
       WHERE NOT fabrication_piles.kind <=> style_piles.kind`,
    ),
  ).toEqual([0])
  // Steps, gains, choices, causes and offers lead to piles by id, and every step still fills what it filled.
  const styles = await jsonOf(database, 'SELECT steps AS json FROM styles')
  const boards = await jsonOf(database, 'SELECT steps AS json FROM fabrication_boards')
  const known = new Set([
    ...(await columnOf(database, 'SELECT id FROM style_piles')),
    ...(await columnOf(database, 'SELECT id FROM fabrication_piles')),
  ])
  for (const steps of [...styles, ...boards]) {
    const leads = (steps as { pileIds: string[]; gain: { pileId: string } | null }[]).flatMap(({ pileIds, gain }) => [
      ...pileIds,
      ...(gain ? [gain.pileId] : []),
    ])
    expect(leads.filter((id) => !known.has(id))).toEqual([])
    if ((steps as unknown[]).length > 0) expect(leads.length).toBeGreaterThan(1)
  }
  const options = await jsonOf(database, 'SELECT options AS json FROM styles')
  const shares = (options as { choices: { shares: object }[] }[][]).flatMap((option) =>
    option.flatMap(({ choices }) => choices.flatMap((choice) => Object.keys(choice.shares))),
  )
  expect(shares.length).toBeGreaterThan(10)
  expect(shares.filter((id) => !known.has(id))).toEqual([])
  expect(await columnOf(database, `SELECT COUNT(*) FROM what_ifs WHERE assumptions LIKE '%"pile":%'`)).toEqual([0])
  // Orders begin at one and have no gap, so that the next fact comes after all of them.
  expect(
    await columnOf(
      database,
      'SELECT COUNT(*) FROM (SELECT fabrication_id FROM facts GROUP BY fabrication_id, kitchen_id HAVING MAX(order_no) <> COUNT(*)) AS gaps',
    ),
  ).toEqual([0])
  await migrate(database.sequelize, { backups: folder })
  expect(readdirSync(folder)).toHaveLength(1)
}, 120_000)

test('hours of a week become stretches, and the tasks of a schedule say of what kind they are and whose', async () => {
  const database = await oldDatabase()
  const { sequelize } = database
  await migrate(sequelize, { backups: null })
  // As it was before: hours alone, and tasks that name their cook.
  await sequelize.query("DELETE FROM migration_steps WHERE name = '031-schedules-followed'")
  await sequelize.query('ALTER TABLE cooks ADD COLUMN week_hours JSON')
  const [[cook]] = (await sequelize.query('SELECT kitchen_id, id, name FROM cooks ORDER BY id LIMIT 1')) as [
    [{ kitchen_id: string; id: string; name: string }],
    unknown,
  ]
  await sequelize.query("UPDATE cooks SET week_hours = '[0, 2.5, 0, 0, 0, 20, 0]' WHERE id = ?", {
    replacements: [cook.id],
  })
  const task = (id: string, start: number, end: number, of: string | null) => ({
    ...{ id: `job ${id}`, jobId: 'job', what: 'Duck', start, end, cook: of, station: null },
  })
  const tasks = [task('cut 1', 0, 40, cook.name), task('cut 2', 40, 60, 'Nobody now'), task('stock 1', 60, 400, null)]
  await sequelize.query(
    `INSERT INTO order_plans (kitchen_id, id, version, name, draft, schedule, created_at, updated_at)
     VALUES (?, '019b76da-a8f2-7000-8003-0000000000ff', 1, 'Week', '{}', ?, NOW(), NOW())`,
    { replacements: [cook.kitchen_id, JSON.stringify({ settings: { boards: 2 }, tasks })] },
  )
  await schedulesFollowed(sequelize)
  const [week] = await columnOf(database, `SELECT week FROM cooks WHERE id = '${cook.id}'`)
  expect(parsedJsonOf(week as string)).toEqual([
    { day: 2, from: 480, until: 630 },
    { day: 6, from: 480, until: 1440 },
  ])
  const [schedule] = await columnOf(database, "SELECT schedule FROM order_plans WHERE name = 'Week'")
  const kept = parsedJsonOf<{ tasks: object[] }>(schedule as never) as { tasks: { kind: string; cookId: string }[] }
  expect(kept).toMatchObject({ settings: { boards: 2 }, late: [], days: [] })
  expect(kept.tasks.map(({ kind, cookId }) => [kind, cookId])).toEqual([
    ['cut', cook.id],
    ['cut', null],
    ['stock', null],
  ])
  expect(kept.tasks[0]).not.toHaveProperty('cook')
})

test('an accepted plan holds the last day of an opened lot by the one rule, and a second run changes nothing', async () => {
  const database = await oldDatabase()
  const { sequelize } = database
  await migrate(sequelize, { backups: null })
  await sequelize.query("DELETE FROM migration_steps WHERE name = '034-last-days'")
  const [[lot]] = (await sequelize.query(
    `SELECT lots.kitchen_id AS kitchenId, lots.id AS id FROM lots
     JOIN items ON items.kitchen_id = lots.kitchen_id AND items.id = lots.item_id WHERE items.species = 'poultry' LIMIT 1`,
  )) as unknown as [[{ kitchenId: string; id: string }]]
  await sequelize.query(
    "UPDATE lots SET opened_on = '2026-11-30', use_by = '2026-12-09', is_finished = FALSE WHERE id = ?",
    {
      replacements: [lot.id],
    },
  )
  const stock = [
    { lotId: lot.id, useBy: '2026-12-02' },
    { lotId: 'another', useBy: '2026-12-02' },
  ]
  await sequelize.query(
    `INSERT INTO order_plans (kitchen_id, id, version, name, draft, accepted, created_at, updated_at)
     VALUES (?, '019b76da-a8f2-7000-8003-0000000000fe', 1, 'Days', '{}', ?, NOW(), NOW())`,
    { replacements: [lot.kitchenId, JSON.stringify({ goods: { stock } })] },
  )
  const lines: string[] = []
  const written = jest.spyOn(process.stderr, 'write').mockImplementation((line) => lines.push(String(line)) > 0)
  await lastDays(sequelize)
  await sequelize.query("DELETE FROM migration_steps WHERE name = '034-last-days'")
  await lastDays(sequelize)
  written.mockRestore()
  expect(lines[0]).toMatch(/: 1 opened lots and 1 lots in accepted plans have a last day/)
  const [accepted] = await columnOf(database, "SELECT accepted FROM order_plans WHERE name = 'Days'")
  expect(parsedJsonOf<{ goods: object }>(accepted as never)?.goods).toEqual({
    stock: [{ ...stock[0], useBy: '2026-12-01' }, stock[1]],
  })
})

test('plans know of no others, have no pins of a day and nobody away, and a light portion is a plate', async () => {
  const database = await oldDatabase()
  const { sequelize } = database
  await migrate(sequelize, { backups: null })
  const again = async () => {
    for (const name of ['037-step-minutes', '038-held-by-plans', '039-plates-and-pins'])
      await sequelize.query('DELETE FROM migration_steps WHERE name = ?', { replacements: [name] })
    for (const up of [stepMinutes, heldByPlans, platesAndPins]) await up(sequelize)
  }
  const [kitchenId] = await columnOf(database, 'SELECT id FROM kitchens ORDER BY id LIMIT 1')
  const draft = { from: '2026-12-03', days: 2, pins: [{ kind: 'cut', id: 'c', atLeast: 2, atMost: null }] }
  const goods = {
    products: [{ id: 'p' }],
    cuts: [{ id: 'c', yields: [{ productId: 'p' }] }],
    ...{ ready: [{ id: 'r' }], stock: [{ lotId: 'l', useBy: '2026-12-04' }] },
  }
  await sequelize.query(
    `INSERT INTO order_plans (kitchen_id, id, version, name, draft, accepted, created_at, updated_at)
     VALUES (?, '019b76da-a8f2-7000-8003-0000000000fd', 1, 'Old', ?, ?, NOW(), NOW()),
            (?, '019b76da-a8f2-7000-8003-0000000000fc', 1, 'Odd', '{}', NULL, NOW(), NOW())`,
    { replacements: [kitchenId, JSON.stringify(draft), JSON.stringify({ draft, goods }), kitchenId] },
  )
  const [style = ''] = await columnOf(
    database,
    "SELECT id FROM styles WHERE steps LIKE '%isOptional%' ORDER BY id LIMIT 1",
  )
  const step = { id: 's', title: 'Say "isOptional":', isOptional: false }
  await sequelize.query('UPDATE styles SET steps = ? WHERE id = ?', { replacements: [JSON.stringify([step]), style] })
  await again()
  const known = { ...draft, away: [], replaces: null, coming: [], pins: [{ ...draft.pins[0], day: null }] }
  const read = async (column: string, name: string) =>
    parsedJsonOf((await columnOf(database, `SELECT ${column} FROM order_plans WHERE name = '${name}'`))[0] as never)
  const [kept, accepted] = [await read('draft', 'Old'), await read('accepted', 'Old')]
  expect(kept).toEqual(known)
  expect(accepted).toEqual({
    draft: known,
    goods: {
      ...{ held: { plans: [], minutes: [], kilos: [] }, coming: [], boardShare: { value: 1, schedules: 0 } },
      products: [{ id: 'p', usedPerWeek: null }],
      cuts: [{ id: 'c', yields: [{ productId: 'p', carries: null }] }],
      ready: [{ id: 'r', carries: null }],
      stock: [{ lotId: 'l', useBy: '2026-12-04', held: 0 }],
    },
  })
  const [steps] = await columnOf(database, `SELECT steps FROM styles WHERE id = '${style}'`)
  expect(parsedJsonOf(steps as string)).toEqual([{ ...step, minutes: null }])
  expect(new Set(await columnOf(database, 'SELECT light_plates FROM kitchens'))).toEqual(new Set(['whole']))
  // Once more, as after a cut, it changes nothing.
  await again()
  expect([await read('draft', 'Old'), await read('accepted', 'Old')]).toEqual([kept, accepted])
})

test('a migration that is cut off at any statement is finished by the next start', async () => {
  const database = await oldDatabase()
  const query = database.sequelize.query.bind(database.sequelize)
  let left = 0
  let isDone = false
  const failures = new Set<string>()
  Object.assign(database.sequelize, {
    query: (...parameters: Parameters<typeof query>) => {
      const isChange = /^\s*(?:CREATE|ALTER|DROP|UPDATE|INSERT|DELETE)/i.test(String(parameters[0]))
      if (isChange && left-- === 0) throw new Error('cut off')
      return query(...parameters)
    },
  })
  // Each start gets a few changes further before it is cut off, the last of which may not be noted.
  for (let start = 0; !isDone && start < 400; start++) {
    left = 2 + (start % 30)
    isDone = await migrate(database.sequelize).then(
      () => true,
      (error: unknown) => {
        failures.add(String(error))
        return false
      },
    )
  }
  expect([...failures].filter((failure) => !failure.includes('cut off'))).toEqual([])
  expect(isDone).toBe(true)
  Object.assign(database.sequelize, { query })
  await expectSameAppraisals(database)
}, 120_000)

test('a database that is newer than the program is refused in words, and left as it is', async () => {
  const database = await oldDatabase()
  await database.sequelize.query("INSERT INTO migrations (name) VALUES ('999-of-tomorrow')")
  await expect(migrate(database.sequelize)).rejects.toThrow(UnusableDatabase)
  await expect(migrate(database.sequelize)).rejects.toThrow(/made by a newer Fleam: it has 999-of-tomorrow/)
  expect(await columnOf(database, 'SELECT COUNT(*) FROM readings')).toEqual([601])
}, 60_000)
