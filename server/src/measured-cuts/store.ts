import type { MeasuredCut } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { insertRows, instantText, number, type Row, select, text } from '../database/rows.ts'

/** So many of the latest portions tell how far off a way of measuring is: cooks and their tapes change. */
const MOST_READ = 80

const cutOf = (row: Row): MeasuredCut => ({
  id: text(row.id),
  way: text(row.way) as MeasuredCut['way'],
  shape: text(row.shape),
  planned: number(row.planned),
  weighed: number(row.weighed),
  takenAt: instantText(row.taken_at),
})

/** The latest portions of each way and shape, newest first. */
export async function latestCuts(database: Sequelize, kitchenId: string): Promise<MeasuredCut[]> {
  const rows = await select(
    database,
    `SELECT * FROM (
       SELECT measured_cuts.*, ROW_NUMBER() OVER (PARTITION BY way, shape ORDER BY taken_at DESC, id DESC) AS place
       FROM measured_cuts WHERE kitchen_id = :kitchenId
     ) placed WHERE place <= :most ORDER BY taken_at DESC, id DESC`,
    { kitchenId, most: MOST_READ },
  )
  return rows.map(cutOf)
}

export async function cutById(database: Sequelize, kitchenId: string, id: string): Promise<MeasuredCut | null> {
  const [row] = await select(database, 'SELECT * FROM measured_cuts WHERE kitchen_id = :kitchenId AND id = :id', {
    kitchenId,
    id,
  })
  return row ? cutOf(row) : null
}

export const insertCut = (database: Sequelize, kitchenId: string, cut: MeasuredCut): Promise<void> => {
  const { takenAt, ...columns } = cut
  return insertRows(database, 'measured_cuts', [{ ...columns, kitchen_id: kitchenId, taken_at: new Date(takenAt) }])
}

export async function removeCut(database: Sequelize, kitchenId: string, id: string): Promise<void> {
  await database.query('DELETE FROM measured_cuts WHERE kitchen_id = :kitchenId AND id = :id', {
    replacements: { kitchenId, id },
  })
}
