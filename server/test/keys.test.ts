import { QueryTypes } from 'sequelize'
import { openTestApp, type TestApp } from './harness.ts'

let test_: TestApp
beforeAll(async () => {
  test_ = await openTestApp()
})
afterAll(() => test_.close())

const ask = <T extends object>(sql: string) => test_.database.sequelize.query<T>(sql, { type: QueryTypes.SELECT })
/** What is of no kitchen. */
const COMMON = ['kitchens', 'migrations', 'migration_steps']

test('every row is told by its kitchen first: no key spans kitchens', async () => {
  const keys = await ask<{ table: string; name: string; columns: string }>(
    `SELECT table_name AS \`table\`, index_name AS name, GROUP_CONCAT(column_name ORDER BY seq_in_index) AS columns
     FROM information_schema.statistics WHERE table_schema = DATABASE() AND non_unique = 0
     GROUP BY table_name, index_name`,
  )
  const own = keys.filter(({ table }) => !COMMON.includes(table))
  expect(own.length).toBeGreaterThan(25)
  expect(own.filter(({ columns }) => !/^kitchen_id(,|$)/.test(columns))).toEqual([])
})

test('nothing can point from one kitchen into another', async () => {
  const points = await ask<{ table: string; name: string; from: string; at: string; to: string }>(
    `SELECT table_name AS \`table\`, constraint_name AS name, referenced_table_name AS at,
       GROUP_CONCAT(column_name ORDER BY ordinal_position) AS \`from\`,
       GROUP_CONCAT(referenced_column_name ORDER BY ordinal_position) AS \`to\`
     FROM information_schema.key_column_usage
     WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL
     GROUP BY table_name, constraint_name, referenced_table_name`,
  )
  const inside = points.filter(({ at }) => at !== 'kitchens')
  expect(inside.length).toBeGreaterThan(20)
  expect(inside.filter(({ from, to }) => !from.startsWith('kitchen_id,') || !to.startsWith('kitchen_id,'))).toEqual([])
})
