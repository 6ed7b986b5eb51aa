import type { FabricationRecord, FabricationState } from '@fleam/contract'
import type { Sequelize, Transaction } from 'sequelize'
import { insertRows, type Row, rowsBy, select, text } from '../database/rows.ts'
import {
  editableColumns,
  fabricationRow,
  listRows,
  pileRow,
  readingFromRow,
  recordFromRows,
  voidFromRow,
} from './rows.ts'

const PART_TABLES = {
  piles: 'fabrication_piles',
  labour: 'fabrication_labour',
  consumables: 'fabrication_consumables',
  offers: 'fabrication_offers',
} as const
type Parts = Record<keyof typeof PART_TABLES, Row[]>

/** Parts of many fabrications at once, in their order: one query a table. */
async function partsOf(
  database: Sequelize,
  kitchenId: string,
  ids: readonly string[],
  transaction?: Transaction,
): Promise<Map<string, Parts>> {
  const byId = new Map<string, Parts>(ids.map((id) => [id, { piles: [], labour: [], consumables: [], offers: [] }]))
  if (ids.length === 0) return byId
  for (const [part, table] of Object.entries(PART_TABLES) as [keyof Parts, string][]) {
    const rows = await select(
      database,
      `SELECT * FROM ${table} WHERE kitchen_id = :kitchenId AND fabrication_id IN (:ids) ORDER BY fabrication_id, position`,
      { kitchenId, ids },
      transaction,
    )
    for (const row of rows) byId.get(text(row.fabrication_id))?.[part].push(row)
  }
  return byId
}

async function statesOf(
  database: Sequelize,
  kitchenId: string,
  fabrications: readonly Row[],
  transaction?: Transaction,
): Promise<FabricationState[]> {
  const ids = fabrications.map((row) => text(row.id))
  if (ids.length === 0) return []
  const where = 'kitchen_id = :kitchenId AND fabrication_id IN (:ids)'
  const key = { kitchenId, ids }
  const parts = await partsOf(database, kitchenId, ids, transaction)
  const readings = await select(
    database,
    `SELECT * FROM readings WHERE ${where} ORDER BY taken_at, id`,
    key,
    transaction,
  )
  const voids = await select(
    database,
    `SELECT * FROM reading_voids WHERE ${where} ORDER BY taken_at, id`,
    key,
    transaction,
  )
  const readingsOf = rowsBy(readings, 'fabrication_id')
  const voidsOf = rowsBy(voids, 'fabrication_id')
  return fabrications.map((fabrication) => ({
    record: recordFromRows({ fabrication, ...(parts.get(text(fabrication.id)) as Parts) }),
    readings: (readingsOf.get(text(fabrication.id)) ?? []).map(readingFromRow),
    voids: (voidsOf.get(text(fabrication.id)) ?? []).map(voidFromRow),
  }))
}

export async function stateById(
  database: Sequelize,
  kitchenId: string,
  id: string,
  transaction?: Transaction,
): Promise<FabricationState | null> {
  const rows = await select(
    database,
    'SELECT * FROM fabrications WHERE kitchen_id = :kitchenId AND id = :id',
    { kitchenId, id },
    transaction,
  )
  const [state] = await statesOf(database, kitchenId, rows, transaction)
  return state ?? null
}

/** The latest fabrications of a kitchen, open ones first, then newest first. */
export async function latestStates(database: Sequelize, kitchenId: string, limit: number): Promise<FabricationState[]> {
  const rows = await select(
    database,
    `SELECT * FROM fabrications WHERE kitchen_id = :kitchenId
     ORDER BY status = 'open' DESC, started_at DESC, id DESC LIMIT :limit`,
    { kitchenId, limit },
  )
  return statesOf(database, kitchenId, rows)
}

/** The newest fabrication of a style, by its name; null where there is none yet. */
export async function latestOfStyle(
  database: Sequelize,
  kitchenId: string,
  item: string,
  style: string,
): Promise<FabricationState | null> {
  const rows = await select(
    database,
    `SELECT * FROM fabrications WHERE kitchen_id = :kitchenId AND item = :item AND style = :style
     ORDER BY started_at DESC, id DESC LIMIT 1`,
    { kitchenId, item, style },
  )
  const [state] = await statesOf(database, kitchenId, rows)
  return state ?? null
}

export async function insertRecord(
  database: Sequelize,
  kitchenId: string,
  record: FabricationRecord,
  transaction: Transaction,
): Promise<void> {
  await insertRows(database, 'fabrications', [fabricationRow(kitchenId, record)], transaction)
  const piles = record.piles.map((pile, at) => pileRow(kitchenId, record.id, pile, at))
  await insertRows(database, 'fabrication_piles', piles, transaction)
  for (const [table, rows] of Object.entries(listRows(kitchenId, record))) {
    await insertRows(database, table, rows, transaction)
  }
}

/** Writes an edited record over the version it was made from; the caller has locked and compared the version. */
export async function updateRecord(
  database: Sequelize,
  kitchenId: string,
  record: FabricationRecord,
  transaction: Transaction,
): Promise<void> {
  const key = { kitchenId, id: record.id }
  const columns = { ...editableColumns(record), version: record.version }
  const assignments = Object.keys(columns).map((column) => `${column} = :${column}`)
  await database.query(`UPDATE fabrications SET ${assignments.join(', ')} WHERE kitchen_id = :kitchenId AND id = :id`, {
    replacements: { ...columns, ...key },
    transaction,
  })
  for (const [at, pile] of record.piles.entries()) {
    const {
      id: pileId,
      kitchen_id: _kitchen,
      fabrication_id: _fabrication,
      ...fields
    } = pileRow(kitchenId, record.id, pile, at)
    const sets = Object.keys(fields).map((column) => `${column} = :${column}`)
    await database.query(
      `UPDATE fabrication_piles SET ${sets.join(', ')} WHERE kitchen_id = :kitchenId AND fabrication_id = :id AND id = :pileId`,
      { replacements: { ...fields, ...key, pileId }, transaction },
    )
  }
  for (const [table, rows] of Object.entries(listRows(kitchenId, record))) {
    await database.query(`DELETE FROM ${table} WHERE kitchen_id = :kitchenId AND fabrication_id = :id`, {
      replacements: key,
      transaction,
    })
    await insertRows(database, table, rows, transaction)
  }
}

/** Holds the record against other edits until the transaction ends, and tells its version; null if it is not there. */
export async function lockVersion(
  database: Sequelize,
  kitchenId: string,
  id: string,
  transaction: Transaction,
): Promise<number | null> {
  const [row] = await select(
    database,
    'SELECT version FROM fabrications WHERE kitchen_id = :kitchenId AND id = :id FOR UPDATE',
    { kitchenId, id },
    transaction,
  )
  return row ? Number(row.version) : null
}
