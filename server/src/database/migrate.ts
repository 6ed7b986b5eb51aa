import { chmodSync, mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { QueryTypes, type Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { up as foundation } from './migrations/001-foundation.ts'
import { up as bench } from './migrations/002-bench.ts'
import { up as buying } from './migrations/003-buying.ts'
import { up as whatIfs } from './migrations/004-what-ifs.ts'
import { up as measuredCuts } from './migrations/005-measured-cuts.ts'
import { up as facts } from './migrations/006-facts.ts'
import { up as ids } from './migrations/007-ids.ts'
import { up as whatPilesAre } from './migrations/008-what-piles-are.ts'
import { up as kindsOfPiles } from './migrations/009-kinds-of-piles.ts'
import { up as idsInside } from './migrations/010-ids-inside.ts'
import { up as keysOfKitchens } from './migrations/011-keys-of-kitchens.ts'
import { up as priceBooks } from './migrations/012-price-books.ts'
import { up as labourSources } from './migrations/013-labour-sources.ts'
import { up as countedPieces } from './migrations/014-counted-pieces.ts'
import { up as recordsPutRight } from './migrations/015-records-put-right.ts'
import { up as struckPrices } from './migrations/016-struck-prices.ts'
import { up as decimalMarks } from './migrations/017-decimal-marks.ts'
import { up as loads } from './migrations/018-loads.ts'
import { up as lotsAtTheDoor } from './migrations/019-lots-at-the-door.ts'
import { up as boards } from './migrations/020-boards.ts'
import { up as cautionsWhere } from './migrations/021-cautions-where.ts'
import { up as listColumns } from './migrations/022-list-columns.ts'
import { up as platesOfProducts } from './migrations/023-plates-of-products.ts'
import { up as figures } from './migrations/024-figures.ts'
import { up as beams } from './migrations/025-beams.ts'
import { up as figuresByThemselves } from './migrations/026-figures-by-themselves.ts'
import { up as logbookViews } from './migrations/027-logbook-views.ts'
import { up as settledDoubts } from './migrations/028-settled-doubts.ts'
import { up as weeks } from './migrations/029-weeks.ts'
import { up as orderPlans } from './migrations/030-order-plans.ts'
import { up as schedulesFollowed } from './migrations/031-schedules-followed.ts'
import { up as turns } from './migrations/032-turns.ts'
import { up as judgements } from './migrations/033-judgements.ts'
import { up as lastDays } from './migrations/034-last-days.ts'
import { up as whoAccepted } from './migrations/035-who-accepted.ts'
import { up as weightFrom } from './migrations/036-weight-from.ts'
import { up as stepMinutes } from './migrations/037-step-minutes.ts'
import { up as heldByPlans } from './migrations/038-held-by-plans.ts'
import { up as platesAndPins } from './migrations/039-plates-and-pins.ts'

/** Every migration, in order. Forward only: a mistake is mended by the next one. */
const MIGRATIONS = [
  { name: '001-foundation', up: foundation },
  { name: '002-bench', up: bench },
  { name: '003-buying', up: buying },
  { name: '004-what-ifs', up: whatIfs },
  { name: '005-measured-cuts', up: measuredCuts },
  { name: '006-facts', up: facts },
  { name: '007-ids', up: ids },
  { name: '008-what-piles-are', up: whatPilesAre },
  { name: '009-kinds-of-piles', up: kindsOfPiles },
  { name: '010-ids-inside', up: idsInside },
  { name: '011-keys-of-kitchens', up: keysOfKitchens },
  { name: '012-price-books', up: priceBooks },
  { name: '013-labour-sources', up: labourSources },
  { name: '014-counted-pieces', up: countedPieces },
  { name: '015-records-put-right', up: recordsPutRight },
  { name: '016-struck-prices', up: struckPrices },
  { name: '017-decimal-marks', up: decimalMarks },
  { name: '018-loads', up: loads },
  { name: '019-lots-at-the-door', up: lotsAtTheDoor },
  { name: '020-boards', up: boards },
  { name: '021-cautions-where', up: cautionsWhere },
  { name: '022-list-columns', up: listColumns },
  { name: '023-plates-of-products', up: platesOfProducts },
  { name: '024-figures', up: figures },
  { name: '025-beams', up: beams },
  { name: '026-figures-by-themselves', up: figuresByThemselves },
  { name: '027-logbook-views', up: logbookViews },
  { name: '028-settled-doubts', up: settledDoubts },
  { name: '029-weeks', up: weeks },
  { name: '030-order-plans', up: orderPlans },
  { name: '031-schedules-followed', up: schedulesFollowed },
  { name: '032-turns', up: turns },
  { name: '033-judgements', up: judgements },
  { name: '034-last-days', up: lastDays },
  { name: '035-who-accepted', up: whoAccepted },
  { name: '036-weight-from', up: weightFrom },
  { name: '037-step-minutes', up: stepMinutes },
  { name: '038-held-by-plans', up: heldByPlans },
  { name: '039-plates-and-pins', up: platesAndPins },
]

function migrator(database: Sequelize) {
  return new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: () => up(database) })),
    storage: new SequelizeStorage({ sequelize: database, tableName: 'migrations' }),
    logger: undefined,
  })
}

const LOCK_SECONDS = 60

/** A database that this program must not touch, with what to do about it. */
export class UnusableDatabase extends Error {}

export interface MigrateOptions {
  /** Folder that takes the schema as it was before it is changed; null writes none. */
  backups?: string | null
  now?: Date
}

/**
 * Brings the schema up to date; several servers starting at once take turns. Throws `UnusableDatabase` where it was
 * made by a later version, and where a migration cannot be finished: it goes on from there at the next start.
 */
export async function migrate(
  database: Sequelize,
  { backups = null, now = new Date() }: MigrateOptions = {},
): Promise<void> {
  await database.transaction(async (transaction) => {
    // The lock belongs to this connection, which the transaction holds for as long as the migrations run.
    await database.query('SELECT GET_LOCK("fleam-migrate", :seconds)', {
      replacements: { seconds: LOCK_SECONDS },
      transaction,
    })
    try {
      const applied = await appliedMigrations(database)
      refuseNewer(applied)
      if (backups !== null && applied.length > 0 && applied.length < MIGRATIONS.length) {
        await backUpSchema(database, backups, applied, now)
      }
      await migrator(database).up()
    } finally {
      await database.query('SELECT RELEASE_LOCK("fleam-migrate")', { transaction })
    }
  })
}

async function appliedMigrations(database: Sequelize): Promise<string[]> {
  const tables = await database.query<{ found: number }>(
    "SELECT COUNT(*) AS found FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = 'migrations'",
    { type: QueryTypes.SELECT },
  )
  if (Number(tables[0]?.found) === 0) return []
  const rows = await database.query<{ name: string }>('SELECT name FROM migrations ORDER BY name', {
    type: QueryTypes.SELECT,
  })
  return rows.map((row) => row.name)
}

function refuseNewer(applied: readonly string[]): void {
  const known = new Set(MIGRATIONS.map(({ name }) => name))
  const unknown = applied.filter((name) => !known.has(name))
  if (unknown.length === 0) return
  throw new UnusableDatabase(
    `This database was made by a newer Fleam: it has ${unknown.join(', ')}, which this version does not know. Start the newer version, or give this one another data folder.`,
  )
}

/** Writes how every table was made, and which migrations it had, beside the data. */
async function backUpSchema(database: Sequelize, folder: string, applied: readonly string[], now: Date): Promise<void> {
  const tables = await database.query<Record<string, string>>(
    "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' ORDER BY 1",
    { type: QueryTypes.SELECT },
  )
  const parts = [`-- The schema of Fleam at ${applied.at(-1)}, ${now.toISOString()}`]
  for (const { name } of tables) {
    const [row] = await database.query<Record<string, string>>(`SHOW CREATE TABLE \`${name}\``, {
      type: QueryTypes.SELECT,
    })
    const [counted] = await database.query<{ rows: number }>(`SELECT COUNT(*) AS \`rows\` FROM \`${name}\``, {
      type: QueryTypes.SELECT,
    })
    parts.push(`-- ${name}: ${counted?.rows} rows\n${row?.['Create Table']};`)
  }
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  // One that an older version made was open to all.
  chmodSync(folder, 0o700)
  const stamp = now.toISOString().replaceAll(/[:.]/g, '-')
  writeFileSync(join(folder, `schema-${applied.at(-1)}-${stamp}.sql`), `${parts.join('\n\n')}\n`, { mode: 0o600 })
}

export interface MigrationState {
  applied: number
  pending: number
}

/** How many migrations ran and how many wait. */
export async function migrationState(database: Sequelize): Promise<MigrationState> {
  const applied = new Set(await appliedMigrations(database))
  const pending = MIGRATIONS.filter((migration) => !applied.has(migration.name)).length
  return { applied: MIGRATIONS.length - pending, pending }
}
