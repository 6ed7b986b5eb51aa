import { container, containers } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { z } from 'zod'
import { databaseCode } from '../database/connection.ts'
import { insertRows, number, select, text } from '../database/rows.ts'
import { Refusal } from '../http/problems.ts'
import { fabricationParams, kitchenParams, type Server } from '../http/schemas.ts'
import { requireKitchen } from '../kitchen/service.ts'

const tags = ['containers']

/** Containers whose weight a kitchen remembers by name. */
export function containerRoutes(app: Server, database: Sequelize): void {
  const list = async (kitchenId: string) => {
    const sql = 'SELECT * FROM containers WHERE kitchen_id = :kitchenId ORDER BY name'
    const rows = await select(database, sql, { kitchenId })
    return rows.map((row) => ({ id: text(row.id), name: text(row.name), grams: number(row.grams) }))
  }

  app.get(
    '/api/kitchens/:kitchenId/containers',
    { schema: { tags, params: kitchenParams, response: { 200: containers } } },
    (request) => list(request.params.kitchenId),
  )

  // A container of a name that is there is weighed anew: two of one name would be one too many.
  app.post(
    '/api/kitchens/:kitchenId/containers',
    { schema: { tags, params: kitchenParams, body: container, response: { 201: containers } } },
    async (request, reply) => {
      const { kitchenId } = request.params
      const { id, name, grams } = request.body
      await requireKitchen(database, kitchenId)
      try {
        await insertRows(database, 'containers', [{ id, kitchen_id: kitchenId, name, grams }])
      } catch (error) {
        if (databaseCode(error) !== 'ER_DUP_ENTRY') throw error
        const sql = 'UPDATE containers SET grams = :grams WHERE kitchen_id = :kitchenId AND name = :name'
        await database.query(sql, { replacements: { grams, kitchenId, name } })
        if (!(await list(kitchenId)).some((each) => each.name === name)) {
          throw new Refusal('id-taken', 'This id stands for another container.', {
            issues: [{ path: 'id', message: 'is taken' }],
          })
        }
      }
      return reply.status(201).send(await list(kitchenId))
    },
  )

  app.delete(
    '/api/kitchens/:kitchenId/containers/:id',
    { schema: { tags, params: fabricationParams, response: { 200: z.array(container) } } },
    async (request) => {
      const { kitchenId, id } = request.params
      const sql = 'DELETE FROM containers WHERE kitchen_id = :kitchenId AND id = :id'
      await database.query(sql, { replacements: { kitchenId, id } })
      return list(kitchenId)
    },
  )
}
