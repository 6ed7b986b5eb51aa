import { QueryTypes, type Sequelize } from 'sequelize'
import { runSteps } from '../steps.ts'

/** Tables whose rows bear an id of their maker's. */
const WITH_ID = [
  'article_prices',
  'articles',
  'containers',
  'cooks',
  'fabrication_piles',
  'fabrications',
  'facts',
  'items',
  'lot_cases',
  'lot_photos',
  'lots',
  'offers',
  'products',
  'styles',
  'suppliers',
  'what_ifs',
] as const

/** Tables of parts, by what tells their rows apart in a kitchen. */
const PARTS = {
  fabrication_boards: ['fabrication_id'],
  fabrication_consumables: ['fabrication_id', 'position'],
  fabrication_labour: ['fabrication_id', 'position'],
  fabrication_offers: ['fabrication_id', 'position'],
  lot_checks: ['lot_id', 'check_id'],
  style_piles: ['id'],
} as const

/** What pointed at an id alone points at the id of its own kitchen. */
const POINTS: readonly { table: string; name: string; column: string; at: string }[] = [
  { table: 'styles', name: 'style_item', column: 'item_id', at: 'items' },
  { table: 'style_piles', name: 'pile_style', column: 'style_id', at: 'styles' },
  { table: 'offers', name: 'offer_style', column: 'style_id', at: 'styles' },
  { table: 'articles', name: 'article_item', column: 'item_id', at: 'items' },
  { table: 'lots', name: 'lot_item', column: 'item_id', at: 'items' },
]

/**
 * A row is told by its kitchen and its id. An id of another kitchen stands for nothing here, and cannot be taken by
 * it: what points from one kitchen into another is refused by the database itself.
 */
export const up = (database: Sequelize): Promise<void> =>
  runSteps(database, '011-keys-of-kitchens', [
    () => dropPointsAtBareIds(database),
    ...Object.entries({ ...Object.fromEntries(WITH_ID.map((table) => [table, ['id']])), ...PARTS }).map(
      ([table, columns]) =>
        () =>
          keyByKitchen(database, table, columns),
    ),
    'ALTER TABLE styles ADD UNIQUE KEY IF NOT EXISTS by_name (kitchen_id, item_id, name), DROP KEY IF EXISTS item_id',
    'ALTER TABLE style_piles ADD KEY IF NOT EXISTS in_order (kitchen_id, style_id, position)',
    `ALTER TABLE facts ADD KEY IF NOT EXISTS since (kitchen_id, fabrication_id, received_at),
      DROP KEY IF EXISTS by_arrival`,
    ...POINTS.map(
      ({ table, name, column, at }) =>
        `ALTER TABLE ${table} ADD FOREIGN KEY IF NOT EXISTS ${name} (kitchen_id, ${column}) REFERENCES ${at} (kitchen_id, id)`,
    ),
  ])

/** Foreign keys that point at an id of one column, kitchens apart: whatever they were called. */
async function dropPointsAtBareIds(database: Sequelize): Promise<void> {
  const points = await database.query<{ name: string; child: string }>(
    `SELECT constraint_name AS name, table_name AS child
     FROM information_schema.key_column_usage
     WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL AND referenced_table_name <> 'kitchens'
     GROUP BY constraint_name, table_name HAVING COUNT(*) = 1`,
    { type: QueryTypes.SELECT },
  )
  for (const { name, child } of points) await database.query(`ALTER TABLE ${child} DROP FOREIGN KEY ${name}`)
  // The keys that served them are of no use any more.
  for (const { table, column } of POINTS) {
    for (const key of await keysOf(database, table)) {
      if (Number(key.isUnique) === 0 && key.columns === column) {
        await database.query(`ALTER TABLE ${table} DROP KEY IF EXISTS ${key.name}`)
      }
    }
  }
}

const keysOf = (database: Sequelize, table: string) =>
  database.query<{ name: string; columns: string; isUnique: number }>(
    `SELECT index_name AS name, GROUP_CONCAT(column_name ORDER BY seq_in_index) AS columns, MIN(1 - non_unique) AS isUnique
     FROM information_schema.statistics WHERE table_schema = DATABASE() AND table_name = :table GROUP BY index_name`,
    { type: QueryTypes.SELECT, replacements: { table } },
  )

async function keyByKitchen(database: Sequelize, table: string, columns: readonly string[]): Promise<void> {
  const wanted = ['kitchen_id', ...columns]
  const keys = await keysOf(database, table)
  const primary = keys.find(({ name }) => name === 'PRIMARY')
  if (primary?.columns !== wanted.join(',')) {
    await database.query(`ALTER TABLE ${table} DROP PRIMARY KEY, ADD PRIMARY KEY (${wanted.join(', ')})`)
  }
  // A key that the new one serves for only costs time at each insert; one of an id alone would tell of other kitchens.
  for (const key of keys) {
    const isSame = key.name !== 'PRIMARY' && key.columns === wanted.join(',')
    const isBare = key.name !== 'PRIMARY' && Number(key.isUnique) === 1 && key.columns === 'id'
    const isPart = key.columns === 'kitchen_id'
    if (isSame || isBare || isPart) await database.query(`ALTER TABLE ${table} DROP KEY IF EXISTS ${key.name}`)
  }
}
