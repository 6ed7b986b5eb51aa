import type { Sequelize } from 'sequelize'

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin'

/** A row for each kitchen that imports take turns by; no foreign key, so that holding it holds nothing else. */
export async function up(database: Sequelize): Promise<void> {
  await database.query(`CREATE TABLE IF NOT EXISTS price_books (kitchen_id ${ID} PRIMARY KEY) ENGINE=InnoDB`)
  await database.query('INSERT IGNORE INTO price_books (kitchen_id) SELECT id FROM kitchens')
}
