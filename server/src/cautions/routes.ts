import { cautionById } from '@fleam/catalogue'
import { type CautionOverride, cautionOverride, cautionOverrides } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { z } from 'zod'
import { numberOrNull, type Row, select, text } from '../database/rows.ts'
import { notFound, Refusal } from '../http/problems.ts'
import { kitchenParams, type Server } from '../http/schemas.ts'
import { requireKitchen } from '../kitchen/service.ts'

const tags = ['cautions']
const params = kitchenParams.extend({ cautionId: z.string().max(60) })

const fromRow = (row: Row): CautionOverride => ({
  cautionId: text(row.caution_id),
  text: text(row.text),
  reason: text(row.reason),
  boardMinutes: numberOrNull(row.board_minutes),
  outMinutes: numberOrNull(row.out_minutes),
})

/** Cautions as the kitchen's own approved plan has them, each with its reason. */
export function cautionRoutes(app: Server, database: Sequelize): void {
  const list = async (kitchenId: string) => {
    const sql = 'SELECT * FROM caution_overrides WHERE kitchen_id = :kitchenId ORDER BY caution_id'
    return (await select(database, sql, { kitchenId })).map(fromRow)
  }

  app.get(
    '/api/kitchens/:kitchenId/cautions',
    { schema: { tags, params: kitchenParams, response: { 200: cautionOverrides } } },
    (request) => list(request.params.kitchenId),
  )

  app.put(
    '/api/kitchens/:kitchenId/cautions/:cautionId',
    { schema: { tags, params, body: cautionOverride, response: { 200: cautionOverrides } } },
    async (request) => {
      const { kitchenId, cautionId } = request.params
      const { text: words, reason, boardMinutes, outMinutes, cautionId: named } = request.body
      await requireKitchen(database, kitchenId)
      if (!cautionById(cautionId)) throw notFound('caution')
      if (named !== cautionId) {
        throw new Refusal('invalid-input', 'cautionId does not agree with the address', {
          issues: [{ path: 'cautionId', message: 'does not agree with the address' }],
        })
      }
      await database.query(
        `REPLACE INTO caution_overrides (kitchen_id, caution_id, text, reason, board_minutes, out_minutes)
         VALUES (:kitchenId, :cautionId, :words, :reason, :boardMinutes, :outMinutes)`,
        { replacements: { kitchenId, cautionId, words, reason, boardMinutes, outMinutes } },
      )
      return list(kitchenId)
    },
  )

  app.delete(
    '/api/kitchens/:kitchenId/cautions/:cautionId',
    { schema: { tags, params, response: { 200: cautionOverrides } } },
    async (request) => {
      const { kitchenId, cautionId } = request.params
      const sql = 'DELETE FROM caution_overrides WHERE kitchen_id = :kitchenId AND caution_id = :cautionId'
      await database.query(sql, { replacements: { kitchenId, cautionId } })
      return list(kitchenId)
    },
  )
}
