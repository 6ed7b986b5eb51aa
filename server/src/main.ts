import { buildApp } from './app.ts'
import { isDatabaseAway, openDatabase } from './database/connection.ts'
import { migrate } from './database/migrate.ts'
import { readEnvironment } from './environment.ts'
import { ScaleGateway } from './scale/gateway.ts'

const DATABASE_RETRY_MS = 500

const environment = readEnvironment(process.env)
const database = openDatabase(environment.FLEAM_DATABASE_URL)
const scale = new ScaleGateway(environment.FLEAM_SCALE ?? null)
const app = await buildApp({
  database,
  scale,
  logger: { level: environment.FLEAM_LOG },
  pages: environment.FLEAM_PAGES ?? null,
  priceFeed: environment.FLEAM_PRICE_FEED ?? null,
})

/** Until the database is there and its schema up to date, `/api/health` says so and the rest answers 503. */
async function migrateWhenReachable(): Promise<void> {
  for (;;) {
    try {
      await migrate(database)
      return
    } catch (error) {
      if (!isDatabaseAway(error)) throw error
      app.log.warn('The database does not answer yet.')
      await new Promise((resolve) => setTimeout(resolve, DATABASE_RETRY_MS))
    }
  }
}

async function stop(): Promise<void> {
  scale.close()
  await app.close()
  await database.close()
  process.exit(0)
}
process.once('SIGTERM', () => void stop())
process.once('SIGINT', () => void stop())

await app.listen({ port: environment.FLEAM_PORT, host: environment.FLEAM_HOST })
await migrateWhenReachable()
