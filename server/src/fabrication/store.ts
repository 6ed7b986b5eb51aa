import type { FabricationRecord, FabricationState } from '@fleam/contract'
import type { Sequelize, Transaction } from 'sequelize'
import { insertRows, type Row, rowsBy, select, text } from '../database/rows.ts'
import { notFound } from '../http/problems.ts'
import {
  boardRow,
  editableColumns,
  fabricationRow,
  listRows,
  markFromRow,
  moveFromRow,
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

/** Tables of facts: rows are inserted and never changed. */
export const FACT_TABLES = {
  readings: 'readings',
  voids: 'reading_voids',
  moves: 'reading_moves',
  marks: 'marks',
} as const
export type FactKind = keyof typeof FACT_TABLES

async function factsOf(database: Sequelize, kitchenId: string, ids: readonly string[], transaction?: Transaction) {
  const facts = new Map<FactKind, Map<string, Row[]>>()
  for (const [kind, table] of Object.entries(FACT_TABLES) as [FactKind, string][]) {
    const sql = `SELECT * FROM ${table} WHERE kitchen_id = :kitchenId AND fabrication_id IN (:ids) ORDER BY taken_at, id`
    facts.set(kind, rowsBy(await select(database, sql, { kitchenId, ids }, transaction), 'fabrication_id'))
  }
  return (kind: FactKind, id: string) => facts.get(kind)?.get(id) ?? []
}

interface StateOptions {
  transaction?: Transaction | undefined
  /** Steps and choices too; lists do without them. */
  withBoard?: boolean
}

async function statesOf(
  database: Sequelize,
  kitchenId: string,
  fabrications: readonly Row[],
  { transaction, withBoard = false }: StateOptions = {},
): Promise<FabricationState[]> {
  const ids = fabrications.map((row) => text(row.id))
  if (ids.length === 0) return []
  const parts = await partsOf(database, kitchenId, ids, transaction)
  const facts = await factsOf(database, kitchenId, ids, transaction)
  const sql = 'SELECT * FROM fabrication_boards WHERE kitchen_id = :kitchenId AND fabrication_id IN (:ids)'
  const boards = withBoard ? await select(database, sql, { kitchenId, ids }, transaction) : []
  return fabrications.map((fabrication) => {
    const id = text(fabrication.id)
    const board = boards.find((row) => row.fabrication_id === id) ?? null
    return {
      record: recordFromRows({ fabrication, ...(parts.get(id) as Parts), board }),
      readings: facts('readings', id).map(readingFromRow),
      voids: facts('voids', id).map(voidFromRow),
      moves: facts('moves', id).map(moveFromRow),
      marks: facts('marks', id).map(markFromRow),
    }
  })
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
  const [state] = await statesOf(database, kitchenId, rows, { transaction, withBoard: true })
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

/** The latest finished fabrications of a style, newest first. */
export async function closedOfStyle(
  database: Sequelize,
  kitchenId: string,
  styleId: string,
  limit: number,
): Promise<FabricationState[]> {
  const rows = await select(
    database,
    `SELECT * FROM fabrications WHERE kitchen_id = :kitchenId AND style_id = :styleId AND status = 'closed'
     ORDER BY started_at DESC, id DESC LIMIT :limit`,
    { kitchenId, styleId, limit },
  )
  return statesOf(database, kitchenId, rows)
}

/** The newest finished fabrication of every style. */
export async function latestOfEachStyle(database: Sequelize, kitchenId: string): Promise<FabricationState[]> {
  const rows = await select(
    database,
    `SELECT * FROM (
       SELECT fabrications.*, ROW_NUMBER() OVER (PARTITION BY style_id ORDER BY started_at DESC, id DESC) AS place
       FROM fabrications WHERE kitchen_id = :kitchenId AND status = 'closed' AND style_id IS NOT NULL
     ) AS ranked WHERE place = 1 ORDER BY started_at DESC, id DESC`,
    { kitchenId },
  )
  return statesOf(database, kitchenId, rows)
}

/** Fabrications that were cut from a lot, oldest first. */
export async function statesOfLot(database: Sequelize, kitchenId: string, lotId: string): Promise<FabricationState[]> {
  const sql = 'SELECT * FROM fabrications WHERE kitchen_id = :kitchenId AND lot_id = :lotId ORDER BY started_at, id'
  return statesOf(database, kitchenId, await select(database, sql, { kitchenId, lotId }))
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
  await insertRows(database, 'fabrication_boards', [boardRow(kitchenId, record)], transaction)
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

/** The version of a record; refuses one that this kitchen does not have. */
export async function requireVersion(database: Sequelize, kitchenId: string, id: string): Promise<number> {
  const sql = 'SELECT version FROM fabrications WHERE kitchen_id = :kitchenId AND id = :id'
  const [row] = await select(database, sql, { kitchenId, id })
  if (!row) throw notFound('fabrication')
  return Number(row.version)
}
