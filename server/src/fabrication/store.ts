import type {
  FabricationEdit,
  FabricationRecord,
  FabricationState,
  RecordVersion,
} from '@fleam/contract/fabrication/schemas'
import { type FindOptions, literal, Op, type Order } from 'sequelize'
import { type FabricationModel, fabricationVersionTable } from '../database/index.ts'
import { factsOf } from '../facts/index.ts'
import { eachReadable, inTransaction, ofKitchen, partOf, type Scope, within } from '../scope/index.ts'
import { partsOf, type RecordParts } from './parts.ts'
import { recordOfRow, rowOfRecord, rowsOfLists, rowsOfPiles } from './rows.ts'

const NEWEST: Order = [
  ['startedAt', 'DESC'],
  ['id', 'DESC'],
]

interface StatesOptions {
  where?: NonNullable<FindOptions['where']>
  order?: Order
  limit?: number
  /** Steps and choices too; lists do without them. */
  withBoard?: boolean
}

/** Rows of records with the names that they read by. */
async function rowsWhere(
  scope: Scope,
  { where = {}, order = NEWEST, limit, withBoard = false }: StatesOptions,
): Promise<FabricationModel[]> {
  const { models } = scope.database
  const name = { attributes: ['name'] }
  return models.Fabrication.findAll({
    where: { ...ofKitchen(scope), ...where },
    include: [
      partOf(scope, 'itemRow', { attributes: ['name', 'shape'] }),
      partOf(scope, 'styleRow', name),
      partOf(scope, 'supplierRow', name),
      partOf(scope, 'cookRow', name),
      ...(withBoard ? [partOf(scope, 'board')] : []),
    ],
    order,
    ...(limit === undefined ? {} : { limit }),
    ...within(scope),
  })
}

/** Records with their parts and everything that was done at their benches: one query a table, however many. */
async function statesWhere(scope: Scope, options: StatesOptions): Promise<FabricationState[]> {
  const rows = await rowsWhere(scope, options)
  const ids = rows.map((row) => row.id)
  const [parts, facts] = await Promise.all([partsOf(scope, ids), factsOf(scope, ids)])
  return eachReadable(
    scope,
    rows,
    ({ id, date }) => ({ kind: 'fabrication', id, name: date }),
    (row) => ({ record: recordOfRow(row, parts.get(row.id) as RecordParts), facts: facts.get(row.id) ?? [] }),
  )
}

/** A record with its facts; null where the kitchen has none of this id. */
export async function stateById(scope: Scope, id: string): Promise<FabricationState | null> {
  const [record, facts] = await Promise.all([recordById(scope, id), factsOf(scope, [id])])
  return record ? { record, facts: facts.get(id) ?? [] } : null
}

/** A record without what was weighed for it. */
export async function recordById(scope: Scope, id: string): Promise<FabricationRecord | null> {
  const [[row], parts] = await Promise.all([rowsWhere(scope, { where: { id }, withBoard: true }), partsOf(scope, [id])])
  return row ? recordOfRow(row, parts.get(id) as RecordParts) : null
}

/** Whether a record is open; null where there is none. */
export async function statusById(scope: Scope, id: string): Promise<FabricationRecord['status'] | null> {
  const row = await scope.database.models.Fabrication.findOne({
    attributes: ['status'],
    where: ofKitchen(scope, { id }),
    raw: true,
    ...within(scope),
  })
  return row?.status ?? null
}

/** Those of some records that are closed. */
export async function closedAmong(scope: Scope, ids: readonly string[]): Promise<string[]> {
  const rows = await scope.database.models.Fabrication.findAll({
    attributes: ['id'],
    where: ofKitchen(scope, { id: [...ids], status: 'closed' as const }),
    raw: true,
    ...within(scope),
  })
  return rows.map(({ id }) => id)
}

/** Records of some ids with their facts. */
export const statesByIds = (scope: Scope, ids: readonly string[]): Promise<FabricationState[]> =>
  ids.length === 0 ? Promise.resolve([]) : statesWhere(scope, { where: { id: [...ids] } })

/** The latest fabrications of a kitchen, open ones first, then newest first. */
export const latestStates = (scope: Scope, limit: number): Promise<FabricationState[]> =>
  statesWhere(scope, { order: [[literal("`Fabrication`.`status` = 'open'"), 'DESC'], ...(NEWEST as [])], limit })

/** More than lie on any board at once. */
const MAX_OPEN = 50

/** The newest fabrications that are open. */
export const openStates = (scope: Scope): Promise<FabricationState[]> =>
  statesWhere(scope, { where: { status: 'open' }, limit: MAX_OPEN })

/** The newest fabrication of a style; null where there is none yet. */
export async function latestOfStyle(scope: Scope, styleId: string): Promise<FabricationState | null> {
  const [state] = await statesWhere(scope, { where: { styleId, status: { [Op.ne]: 'abandoned' } }, limit: 1 })
  return state ?? null
}

/** The newest finished fabrication of every style that counts. */
export async function latestOfEachStyle(scope: Scope): Promise<FabricationState[]> {
  // Raw: a model has no words for a window.
  const [rows] = await scope.database.sequelize.query(
    `SELECT id FROM (
       SELECT id, ROW_NUMBER() OVER (PARTITION BY style_id ORDER BY started_at DESC, id DESC) AS place
       FROM fabrications
       WHERE kitchen_id = :kitchenId AND status = 'closed' AND left_out IS NULL AND style_id IS NOT NULL
     ) AS ranked WHERE place = 1`,
    { replacements: { kitchenId: scope.kitchen.id }, ...within(scope) },
  )
  return statesByIds(
    scope,
    (rows as { id: string }[]).map((row) => row.id),
  )
}

/** Fabrications that were cut from a lot, oldest first. */
export const statesOfLot = (scope: Scope, lotId: string): Promise<FabricationState[]> =>
  statesWhere(scope, { where: { lotId }, order: ['startedAt', 'id'] })

/** Changes the status of a record, and nothing else of it. */
export async function updateStatus(scope: Scope, id: string, status: FabricationRecord['status']): Promise<void> {
  const { Fabrication } = scope.database.models
  await Fabrication.update({ status }, { where: ofKitchen(scope, { id }), ...within(scope) })
}

/** Inserts a record with its parts, all or nothing. */
export const insertRecord = (scope: Scope, record: FabricationRecord): Promise<void> => insertRecords(scope, [record])

/** Inserts records with their parts, all or nothing: one statement a table. */
export function insertRecords(scope: Scope, records: readonly FabricationRecord[]): Promise<void> {
  const kitchenId = scope.kitchen.id
  return inTransaction(scope, async (inside) => {
    const { Fabrication, FabricationBoard, FabricationPile } = inside.database.models
    const boards = records.map(({ id, steps, choices }) => ({ fabricationId: id, kitchenId, steps, choices }))
    await Fabrication.bulkCreate(
      records.map((record) => rowOfRecord(kitchenId, record)),
      within(inside),
    )
    await FabricationPile.bulkCreate(
      records.flatMap((record) => rowsOfPiles(kitchenId, record)),
      within(inside),
    )
    await FabricationBoard.bulkCreate(boards, within(inside))
    await insertLists(inside, records)
  })
}

async function insertLists(scope: Scope, records: readonly FabricationRecord[]): Promise<void> {
  const { FabricationConsumable, FabricationLabour, FabricationOffer } = scope.database.models
  const lists = records.map((record) => rowsOfLists(scope.kitchen.id, record))
  await FabricationLabour.bulkCreate(
    lists.flatMap(({ labour }) => labour),
    within(scope),
  )
  await FabricationConsumable.bulkCreate(
    lists.flatMap(({ consumables }) => consumables),
    within(scope),
  )
  await FabricationOffer.bulkCreate(
    lists.flatMap(({ offers }) => offers),
    within(scope),
  )
}

/** Writes an edited record over the version it was made from; the caller has locked and compared the version. */
export async function updateRecord(scope: Scope, record: FabricationRecord): Promise<void> {
  const { Fabrication, FabricationConsumable, FabricationLabour, FabricationOffer, FabricationPile } =
    scope.database.models
  const where = ofKitchen(scope, { fabricationId: record.id })
  await Fabrication.update(rowOfRecord(scope.kitchen.id, record), {
    where: ofKitchen(scope, { id: record.id }),
    ...within(scope),
  })
  const piles = rowsOfPiles(scope.kitchen.id, record)
  const rows = await FabricationPile.findAll({ attributes: ['id'], where, raw: true, ...within(scope) })
  const isKnown = new Set(rows.map(({ id }) => id))
  for (const pile of piles.filter(({ id }) => isKnown.has(id))) {
    await FabricationPile.update(pile, { where: { ...where, id: pile.id }, ...within(scope) })
  }
  await FabricationPile.bulkCreate(
    piles.filter(({ id }) => !isKnown.has(id)),
    within(scope),
  )
  await FabricationLabour.destroy({ where, ...within(scope) })
  await FabricationConsumable.destroy({ where, ...within(scope) })
  await FabricationOffer.destroy({ where, ...within(scope) })
  await insertLists(scope, [record])
}

/** Keeps what could be edited of a record as it was, with who replaced it and when. */
export async function insertVersion(scope: Scope, { version, ...before }: FabricationEdit, id: string): Promise<void> {
  const { kitchen, actor, clock } = scope
  await scope.database.models.FabricationVersion.create(
    { kitchenId: kitchen.id, fabricationId: id, version, replacedAt: clock.now().toISOString(), actor, record: before },
    within(scope),
  )
}

/** Versions of a record that somebody has replaced, newest first. */
export async function versionsOf(scope: Scope, fabricationId: string, limit: number): Promise<RecordVersion[]> {
  const rows = await scope.database.models.FabricationVersion.findAll({
    where: ofKitchen(scope, { fabricationId }),
    order: [['version', 'DESC']],
    limit,
    ...within(scope),
  })
  return rows.map(fabricationVersionTable.fromRow)
}

/** Holds the record against other edits until the transaction ends, and tells its version; null if it is not there. */
export async function lockVersion(scope: Scope, id: string): Promise<number | null> {
  const row: Pick<FabricationModel, 'version'> | null = await scope.database.models.Fabrication.findOne({
    attributes: ['version'],
    where: ofKitchen(scope, { id }),
    lock: true,
    raw: true,
    ...within(scope),
  })
  return row?.version ?? null
}

/** Holds some records against edits until the transaction ends. */
export async function lockVersions(scope: Scope, ids: readonly string[]): Promise<void> {
  const where = ofKitchen(scope, { id: [...ids] })
  const { Fabrication } = scope.database.models
  await Fabrication.findAll({ attributes: ['id'], where, order: ['id'], lock: true, raw: true, ...within(scope) })
}

/** How many records of each of some lots have taken how much, grams. */
export async function usedOfLots(scope: Scope, lotIds: readonly string[]): Promise<Map<string, number>> {
  // A sum over many records is left to the database.
  const rows = (await scope.database.models.Fabrication.findAll({
    attributes: ['lotId', [literal('SUM(invoice_weight)'), 'used']],
    // What was given up was put back.
    where: ofKitchen(scope, { lotId: { [Op.in]: [...lotIds] }, status: { [Op.ne]: 'abandoned' } }),
    group: ['lotId'],
    raw: true,
    ...within(scope),
  })) as unknown as { lotId: string; used: number }[]
  return new Map(rows.map((row) => [row.lotId, Number(row.used)]))
}
