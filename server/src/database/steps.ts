import { QueryTypes, type Sequelize } from 'sequelize'

/**
 * Runs the statements of one migration in order and remembers each that is done. MariaDB commits at every change of
 * a table, so a migration can be cut off anywhere: the next start goes on at the statement that was not finished.
 * Each must bear being run a second time, because the note of it may be what was cut off.
 */
export async function runSteps(
  database: Sequelize,
  name: string,
  statements: readonly (string | (() => Promise<void>))[],
): Promise<void> {
  await database.query(
    `CREATE TABLE IF NOT EXISTS migration_steps (
      name VARCHAR(60) PRIMARY KEY,
      done INT NOT NULL
    ) ENGINE=InnoDB`,
  )
  const [row] = await database.query<{ done: number }>('SELECT done FROM migration_steps WHERE name = :name', {
    type: QueryTypes.SELECT,
    replacements: { name },
  })
  for (const [at, statement] of statements.entries()) {
    if (at < (row?.done ?? 0)) continue
    if (typeof statement === 'string') await database.query(statement)
    else await statement()
    await database.query(
      'INSERT INTO migration_steps (name, done) VALUES (:name, :done) ON DUPLICATE KEY UPDATE done = VALUES(done)',
      { replacements: { name, done: at + 1 } },
    )
  }
}
