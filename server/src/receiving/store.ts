import type { Lot, LotPhoto, LotRow } from '@fleam/contract'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { insertRows, instantText, number, type Row, rowsBy, select, text, updateRow } from '../database/rows.ts'
import { lotColumns, lotFromRows, lotListRows } from './rows.ts'

/** Newest deliveries that a list shows. */
const MOST_LISTED = 500

async function lotsOf(database: Sequelize, kitchenId: string, rows: readonly Row[], transaction?: Transaction) {
  if (rows.length === 0) return []
  const ids = rows.map((row) => text(row.id))
  const parts = { kitchenId, ids }
  const cases = await select(
    database,
    'SELECT * FROM lot_cases WHERE kitchen_id = :kitchenId AND lot_id IN (:ids) ORDER BY lot_id, position',
    parts,
    transaction,
  )
  const checks = await select(
    database,
    'SELECT * FROM lot_checks WHERE kitchen_id = :kitchenId AND lot_id IN (:ids) ORDER BY check_id',
    parts,
    transaction,
  )
  const casesOf = rowsBy(cases, 'lot_id')
  const checksOf = rowsBy(checks, 'lot_id')
  return rows.map((row) => lotFromRows(row, casesOf.get(text(row.id)) ?? [], checksOf.get(text(row.id)) ?? []))
}

/** Lots with what has been taken from them, newest delivery first; those in the cold only, or every one. */
export async function lots(database: Sequelize, kitchenId: string, words: string): Promise<LotRow[]> {
  const rows = await select(
    database,
    `SELECT lots.*, (
       SELECT COALESCE(SUM(invoice_weight), 0) FROM fabrications
       WHERE fabrications.kitchen_id = lots.kitchen_id AND fabrications.lot_id = lots.id
     ) AS used_weight
     FROM lots WHERE kitchen_id = :kitchenId
       AND CONCAT_WS(' ', code, item, supplier, gtin) COLLATE utf8mb4_uca1400_ai_ci LIKE :words
     ORDER BY received_on DESC, created_at DESC, id DESC LIMIT :limit`,
    { kitchenId, words: `%${words.replace(/[\\%_]/g, '\\$&')}%`, limit: MOST_LISTED },
  )
  const found = await lotsOf(database, kitchenId, rows)
  return found.map((lot, at) => ({ lot, usedWeight: number(rows[at]?.used_weight) }))
}

export async function lotById(
  database: Sequelize,
  kitchenId: string,
  id: string,
  transaction?: Transaction,
): Promise<Lot | null> {
  const sql = 'SELECT * FROM lots WHERE kitchen_id = :kitchenId AND id = :id'
  const [lot] = await lotsOf(
    database,
    kitchenId,
    await select(database, sql, { kitchenId, id }, transaction),
    transaction,
  )
  return lot ?? null
}

export async function insertLot(database: Sequelize, kitchenId: string, lot: Lot, now: Date, transaction: Transaction) {
  const row = { id: lot.id, kitchen_id: kitchenId, created_at: now, ...lotColumns(lot) }
  await insertRows(database, 'lots', [row], transaction)
  await insertLists(database, kitchenId, lot, transaction)
}

async function insertLists(database: Sequelize, kitchenId: string, lot: Lot, transaction: Transaction) {
  for (const [table, rows] of Object.entries(lotListRows(kitchenId, lot))) {
    await insertRows(database, table, rows, transaction)
  }
}

/** Writes a changed lot; the caller has locked and compared its version. */
export async function replaceLot(database: Sequelize, kitchenId: string, lot: Lot, transaction: Transaction) {
  await updateRow(database, 'lots', { kitchenId, id: lot.id }, lotColumns(lot), transaction)
  for (const table of Object.keys(lotListRows(kitchenId, lot))) {
    await database.query(`DELETE FROM ${table} WHERE kitchen_id = :kitchenId AND lot_id = :id`, {
      replacements: { kitchenId, id: lot.id },
      transaction,
    })
  }
  await insertLists(database, kitchenId, lot, transaction)
}

/** The version of a lot, held against other edits until the transaction ends; null where it is not there. */
export async function lockLot(database: Sequelize, kitchenId: string, id: string, transaction: Transaction) {
  const sql = 'SELECT version FROM lots WHERE kitchen_id = :kitchenId AND id = :id FOR UPDATE'
  const [row] = await select(database, sql, { kitchenId, id }, transaction)
  return row ? number(row.version) : null
}

export async function photos(database: Sequelize, kitchenId: string, lotId: string) {
  const sql =
    'SELECT id, taken_at FROM lot_photos WHERE kitchen_id = :kitchenId AND lot_id = :lotId ORDER BY taken_at, id'
  const rows = await select(database, sql, { kitchenId, lotId })
  return rows.map((row) => ({ id: text(row.id), takenAt: instantText(row.taken_at) }))
}

/** Keeps a picture; one that is there already is left. */
export async function insertPhoto(database: Sequelize, kitchenId: string, lotId: string, photo: LotPhoto) {
  await database.query(
    `INSERT IGNORE INTO lot_photos (id, kitchen_id, lot_id, picture, taken_at)
     VALUES (:id, :kitchenId, :lotId, :picture, :takenAt)`,
    {
      type: QueryTypes.INSERT,
      replacements: {
        id: photo.id,
        kitchenId,
        lotId,
        picture: Buffer.from(photo.picture, 'base64'),
        takenAt: new Date(photo.takenAt),
      },
    },
  )
}

export async function pictureOf(
  database: Sequelize,
  kitchenId: string,
  lotId: string,
  id: string,
): Promise<Buffer | null> {
  const sql = 'SELECT picture FROM lot_photos WHERE kitchen_id = :kitchenId AND lot_id = :lotId AND id = :id'
  const [row] = await select(database, sql, { kitchenId, lotId, id })
  return row ? (row.picture as unknown as Buffer) : null
}
