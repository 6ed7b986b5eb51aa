import type { CautionOverride } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { numberOrNull, type Row, select, text } from '../database/rows.ts'

const fromRow = (row: Row): CautionOverride => ({
  cautionId: text(row.caution_id),
  text: text(row.text),
  reason: text(row.reason),
  boardMinutes: numberOrNull(row.board_minutes),
  outMinutes: numberOrNull(row.out_minutes),
})

export async function overrides(database: Sequelize, kitchenId: string): Promise<CautionOverride[]> {
  const sql = 'SELECT * FROM caution_overrides WHERE kitchen_id = :kitchenId ORDER BY caution_id'
  return (await select(database, sql, { kitchenId })).map(fromRow)
}

export async function replaceOverride(
  database: Sequelize,
  kitchenId: string,
  override: CautionOverride,
): Promise<void> {
  await database.query(
    `REPLACE INTO caution_overrides (kitchen_id, caution_id, text, reason, board_minutes, out_minutes)
     VALUES (:kitchenId, :cautionId, :text, :reason, :boardMinutes, :outMinutes)`,
    { replacements: { ...override, kitchenId } },
  )
}

export async function removeOverride(database: Sequelize, kitchenId: string, cautionId: string): Promise<void> {
  await database.query('DELETE FROM caution_overrides WHERE kitchen_id = :kitchenId AND caution_id = :cautionId', {
    replacements: { kitchenId, cautionId },
  })
}
