import { fileURLToPath } from 'node:url'
import { buildApp } from './app.ts'
import { Background } from './background/index.ts'
import { isDatabaseAway, migrate, openDatabase, UnusableDatabase } from './database/index.ts'
import { readEnvironment } from './environment.ts'
import { recountStale } from './fabrication/index.ts'
import { loggedError } from './http/index.ts'
import { ScaleGateway } from './scale/index.ts'

const DATABASE_RETRY_MS = 100
/** Tells whoever started it that starting it again would end the same way. */
const CANNOT_GO_ON = 78

const environment = readEnvironment(process.env)
const database = openDatabase(environment.FLEAM_DATABASE_URL)
const scale = new ScaleGateway(environment.FLEAM_SCALE ?? null)
const background = new Background({
  program: fileURLToPath(new URL('./background-thread.mjs', import.meta.url)),
  databaseUrl: environment.FLEAM_DATABASE_URL,
  disk: environment.FLEAM_DISK ?? null,
})
const app = await buildApp({
  database,
  scale,
  logger: { level: environment.FLEAM_LOG, serializers: { err: loggedError } },
  pages: environment.FLEAM_PAGES ?? null,
  priceFeed: environment.FLEAM_PRICE_FEED ?? null,
  disk: environment.FLEAM_DISK ?? null,
  background,
  names: [environment.FLEAM_HOST, ...environment.FLEAM_NAMES.split(',')].filter((name) => name !== ''),
})

/** Until the database is there and its schema up to date, `/api/health` says so and the rest answers 503. */
async function migrateWhenReachable(): Promise<void> {
  for (let isFirst = true; ; isFirst = false) {
    try {
      await migrate(database.sequelize, { backups: environment.FLEAM_BACKUPS ?? null })
      return
    } catch (error) {
      if (error instanceof UnusableDatabase) await giveUp(error.message)
      if (!isDatabaseAway(error)) {
        await giveUp(
          `The database could not be brought up to date; it goes on from there at the next start. ${messageOf(error)}`,
        )
      }
      if (isFirst) app.log.warn('The database does not answer yet.')
      await new Promise((resolve) => setTimeout(resolve, DATABASE_RETRY_MS))
    }
  }
}

const messageOf = (error: unknown) => (error instanceof Error ? error.message : String(error))

/** Says why it cannot go on, in words, where whoever started it looks, and ends. */
async function giveUp(reason: string): Promise<never> {
  process.stderr.write(`${reason}\n`)
  scale.close()
  await app.close()
  process.exit(CANNOT_GO_ON)
}

async function stop(): Promise<void> {
  scale.close()
  await app.close()
  await database.sequelize.close()
  process.exit(0)
}
process.once('SIGTERM', () => void stop())
process.once('SIGINT', () => void stop())

await app.listen({ port: environment.FLEAM_PORT, host: environment.FLEAM_HOST })
await migrateWhenReachable()
background.open()
// Records of a version before have no figures yet, and a cut may have left some behind. Nobody waits for it.
recountStale(database, { now: () => new Date() }).then(
  (records) => records > 0 && app.log.info({ records }, 'Figures of records were made anew.'),
  (error: unknown) => app.log.error(error, 'Figures of records could not be made anew.'),
)
