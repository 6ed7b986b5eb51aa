import { healthOperations } from '@fleam/contract/health/operations'
import type { Health } from '@fleam/contract/health/schemas'
import packageJson from '../../../package.json' with { type: 'json' }
import { type Database, migrationState } from '../database/index.ts'
import type { DiskWatch } from '../http/index.ts'
import { serve } from '../serve/index.ts'

/** Ready means: the database answers and its schema is up to date. */
export const healthRoutes = (database: Database, disk: DiskWatch) =>
  serve(healthOperations, {
    readHealth: async ({ reply }): Promise<Health> => {
      const version = packageJson.version
      const room = (await disk.isFull()) ? 'full' : 'room'
      try {
        const migrations = await migrationState(database.sequelize)
        if (migrations.pending === 0) return { status: 'ready', version, database: 'up', disk: room, migrations }
        reply.status(503)
        return { status: 'not-ready', version, database: 'up', disk: room, migrations }
      } catch {
        reply.status(503)
        const migrations = { applied: 0, pending: 0 }
        return { status: 'not-ready', version, database: 'down', disk: room, migrations }
      }
    },
  })
