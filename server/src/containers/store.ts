import type { Container } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { insertRows, number, select, text } from '../database/rows.ts'

export async function containers(database: Sequelize, kitchenId: string): Promise<Container[]> {
  const rows = await select(database, 'SELECT * FROM containers WHERE kitchen_id = :kitchenId ORDER BY name', {
    kitchenId,
  })
  return rows.map((row) => ({ id: text(row.id), name: text(row.name), grams: number(row.grams) }))
}

export const insertContainer = (database: Sequelize, kitchenId: string, container: Container): Promise<void> =>
  insertRows(database, 'containers', [{ ...container, kitchen_id: kitchenId }])

export async function reweigh(database: Sequelize, kitchenId: string, { name, grams }: Container): Promise<void> {
  await database.query('UPDATE containers SET grams = :grams WHERE kitchen_id = :kitchenId AND name = :name', {
    replacements: { grams, kitchenId, name },
  })
}

export async function removeContainer(database: Sequelize, kitchenId: string, id: string): Promise<void> {
  await database.query('DELETE FROM containers WHERE kitchen_id = :kitchenId AND id = :id', {
    replacements: { kitchenId, id },
  })
}
