import { health } from '@fleam/contract/health'
import packageJson from '../../../package.json' with { type: 'json' }
import { type Database, migrationState } from '../database/index.ts'
import type { DiskWatch, Server } from '../http/index.ts'

/** Ready means: the database answers and its schema is up to date. */
export function healthRoutes(app: Server, database: Database, disk: DiskWatch): void {
  app.get(
    '/api/health',
    {
      schema: {
        operationId: 'readHealth',
        summary: 'Whether the database answers and its schema is up to date',
        tags: ['health'],
        response: { 200: health, 503: health },
      },
    },
    async (_request, reply) => {
      const state = (await disk.isFull()) ? 'full' : 'room'
      try {
        const migrations = await migrationState(database.sequelize)
        const isReady = migrations.pending === 0
        return await reply.status(isReady ? 200 : 503).send({
          status: isReady ? 'ready' : 'not-ready',
          version: packageJson.version,
          database: 'up',
          disk: state,
          migrations,
        })
      } catch {
        return reply.status(503).send({
          status: 'not-ready',
          version: packageJson.version,
          database: 'down',
          disk: state,
          migrations: { applied: 0, pending: 0 },
        })
      }
    },
  )
}
