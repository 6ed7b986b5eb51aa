import { QueryTypes, type Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { up as foundation } from './migrations/001-foundation.ts'
import { up as bench } from './migrations/002-bench.ts'
import { up as buying } from './migrations/003-buying.ts'
import { up as whatIfs } from './migrations/004-what-ifs.ts'
import { up as measuredCuts } from './migrations/005-measured-cuts.ts'

/** Every migration, in order. Forward only: a mistake is mended by the next one. */
const MIGRATIONS = [
  { name: '001-foundation', up: foundation },
  { name: '002-bench', up: bench },
  { name: '003-buying', up: buying },
  { name: '004-what-ifs', up: whatIfs },
  { name: '005-measured-cuts', up: measuredCuts },
]

function migrator(database: Sequelize) {
  return new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: () => up(database) })),
    storage: new SequelizeStorage({ sequelize: database, tableName: 'migrations' }),
    logger: undefined,
  })
}

const LOCK_SECONDS = 60

/** Brings the schema up to date; several servers starting at once take turns. */
export async function migrate(database: Sequelize): Promise<void> {
  await database.transaction(async (transaction) => {
    // The lock belongs to this connection, which the transaction holds for as long as the migrations run.
    await database.query('SELECT GET_LOCK("fleam-migrate", :seconds)', {
      replacements: { seconds: LOCK_SECONDS },
      transaction,
    })
    try {
      await migrator(database).up()
    } finally {
      await database.query('SELECT RELEASE_LOCK("fleam-migrate")', { transaction })
    }
  })
}

export interface MigrationState {
  applied: number
  pending: number
}

export async function migrationState(database: Sequelize): Promise<MigrationState> {
  const rows = await database.query<{ name: string }>('SELECT name FROM migrations', { type: QueryTypes.SELECT })
  const applied = new Set(rows.map((row) => row.name))
  const pending = MIGRATIONS.filter((each) => !applied.has(each.name)).length
  return { applied: MIGRATIONS.length - pending, pending }
}
