import { QueryTypes, type Sequelize } from 'sequelize'
import { migrate, openDatabase } from '../src/index.ts'

/** Which database of the same server is migrated once for all tests. */
const TEMPLATE = 'fleam_template'

/** Creates the database that those of the tests are copies of. `url` leads to any database of the server. */
export async function createTemplate(url: string): Promise<void> {
  const address = new URL(url)
  const admin = openDatabase(address.href).sequelize
  await admin.query(`CREATE DATABASE ${TEMPLATE}`)
  await admin.close()
  address.pathname = `/${TEMPLATE}`
  const { sequelize } = openDatabase(address.href)
  await migrate(sequelize)
  await sequelize.close()
}

/** Gives an empty database the tables and rows that a migrated one has: in a twentieth of the time. */
export async function copyTemplate(database: Sequelize): Promise<void> {
  // Tables refer to each other, also forwards; the setting belongs to the connection, which a transaction holds.
  await database.transaction(async (transaction) => {
    await database.query('SET foreign_key_checks = 0', { transaction })
    const tables = await database.query<{ name: string }>(
      'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = :template',
      { type: QueryTypes.SELECT, replacements: { template: TEMPLATE }, transaction },
    )
    for (const { name } of tables) {
      const [shown] = await database.query<{ 'Create Table': string }>(`SHOW CREATE TABLE ${TEMPLATE}.\`${name}\``, {
        type: QueryTypes.SELECT,
        transaction,
      })
      if (!shown) throw new Error(`${name} is no table.`)
      await database.query(shown['Create Table'], { transaction })
      await database.query(`INSERT INTO \`${name}\` SELECT * FROM ${TEMPLATE}.\`${name}\``, { transaction })
    }
    await database.query('SET foreign_key_checks = 1', { transaction })
  })
}
