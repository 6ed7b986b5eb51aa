import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildServer } from '../../tools/build-server.ts'
import { startPrivateDatabase } from '../../tools/private-database.ts'
import { running } from './running.ts'
import { createTemplate } from './template.ts'

/**
 * One real MariaDB for all integration tests, in a folder of its own, with the durable settings of every day; and the
 * built threads that work things out beside the server.
 */
export default async function startDatabase(): Promise<void> {
  await buildServer()
  running.folder = mkdtempSync(join(tmpdir(), 'fleam-test-'))
  running.database = await startPrivateDatabase(running.folder)
  await createTemplate(running.database.url)
  process.env.FLEAM_TEST_DATABASE_URL = running.database.url
}
