import type { WhatIf } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { insertRows, instantText, json, select, text, updateRow } from '../database/rows.ts'

export async function whatIfs(database: Sequelize, kitchenId: string, fabricationId: string): Promise<WhatIf[]> {
  const rows = await select(
    database,
    `SELECT * FROM what_ifs WHERE kitchen_id = :kitchenId AND fabrication_id = :fabricationId
     ORDER BY created_at, id`,
    { kitchenId, fabricationId },
  )
  return rows.map((row) => ({
    id: text(row.id),
    name: text(row.name),
    assumptions: json(row.assumptions),
    createdAt: instantText(row.created_at),
  }))
}

export const insertWhatIf = (database: Sequelize, kitchenId: string, fabricationId: string, whatIf: WhatIf) =>
  insertRows(database, 'what_ifs', [
    {
      id: whatIf.id,
      kitchen_id: kitchenId,
      fabrication_id: fabricationId,
      name: whatIf.name,
      assumptions: JSON.stringify(whatIf.assumptions),
      created_at: new Date(whatIf.createdAt),
    },
  ])

export const changeWhatIf = (database: Sequelize, kitchenId: string, { id, name, assumptions }: WhatIf) =>
  updateRow(database, 'what_ifs', { kitchenId, id }, { name, assumptions: JSON.stringify(assumptions) })

export async function removeWhatIf(
  database: Sequelize,
  key: { kitchenId: string; fabricationId: string; id: string },
): Promise<void> {
  await database.query(
    'DELETE FROM what_ifs WHERE kitchen_id = :kitchenId AND fabrication_id = :fabricationId AND id = :id',
    { replacements: key },
  )
}
