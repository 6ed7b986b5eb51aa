import type { Lot, LotEdit, LotPhoto, LotRow } from '@fleam/contract/receiving/schemas'
import { literal, Op, type Order, where as sqlWhere } from 'sequelize'
import { lotTable } from '../database/index.ts'
import { usedOfLots } from '../fabrication/index.ts'
import { ofKitchen, partOf, type Scope, within } from '../scope/index.ts'
import { lotOfRow } from './rows.ts'

/** Newest deliveries that a list shows. */
const MAX_LISTED = 500

const partsOf = (scope: Scope) => [
  partOf(scope, 'cases', { separate: true, order: ['position'] as Order }),
  partOf(scope, 'checks', { separate: true, order: ['checkId'] as Order }),
  partOf(scope, 'itemRow', { attributes: ['name'] }),
  partOf(scope, 'supplier', { attributes: ['name'] }),
  partOf(scope, 'standingByRow', { attributes: ['name'] }),
]

/** Names tell accents and capitals apart; whoever searches does not. */
const SEARCHED =
  "CONCAT_WS(' ', `Lot`.`code`, `itemRow`.`name`, `Lot`.`item`, `supplier`.`name`, `Lot`.`gtin`) COLLATE utf8mb4_uca1400_ai_ci"

/** Lots that hold the words, newest delivery first, with what has been taken from each. */
export async function lots(scope: Scope, words: string): Promise<LotRow[]> {
  const pattern = `%${words.replace(/[\\%_]/g, '\\$&')}%`
  const rows = await scope.database.models.Lot.findAll({
    where: {
      [Op.and]: [ofKitchen(scope), ...(words === '' ? [] : [sqlWhere(literal(SEARCHED), Op.like, pattern)])],
    },
    include: partsOf(scope),
    order: [
      ['receivedOn', 'DESC'],
      ['createdAt', 'DESC'],
      ['id', 'DESC'],
    ],
    limit: MAX_LISTED,
    subQuery: false,
    ...within(scope),
  })
  const used = await usedOfLots(
    scope,
    rows.map((row) => row.id),
  )
  return rows.map((row) => ({ lot: lotOfRow(row), usedWeight: used.get(row.id) ?? 0 }))
}

/** Lots that were received in a span of days; both days are counted. */
export async function lotsReceived(
  scope: Scope,
  { from, to }: { from?: string | undefined; to?: string | undefined },
): Promise<Lot[]> {
  const days = [...(from ? [{ [Op.gte]: from }] : []), ...(to ? [{ [Op.lte]: to }] : [])]
  const rows = await scope.database.models.Lot.findAll({
    where: ofKitchen(scope, days.length > 0 ? { receivedOn: { [Op.and]: days } } : {}),
    include: partsOf(scope),
    ...within(scope),
  })
  return rows.map(lotOfRow)
}

/** A lot with its cases and checks; null where the kitchen has none of this id. */
export async function lotById(scope: Scope, id: string): Promise<Lot | null> {
  const row = await scope.database.models.Lot.findOne({
    where: ofKitchen(scope, { id }),
    include: partsOf(scope),
    ...within(scope),
  })
  return row ? lotOfRow(row) : null
}

/** Stores a lot under the name that its item has now. */
export async function insertLot(scope: Scope, lot: LotEdit, item: string): Promise<void> {
  const { Lot: Lots } = scope.database.models
  const { cases: _cases, checks: _checks, ...fields } = lot
  const row = lotTable.toRow({ ...fields, item, createdAt: scope.clock.now().toISOString() })
  await Lots.create(ofKitchen(scope, row), within(scope))
  await insertLists(scope, lot)
}

async function insertLists(scope: Scope, lot: LotEdit): Promise<void> {
  const { LotCase, LotCheck } = scope.database.models
  const key = { kitchenId: scope.kitchen.id, lotId: lot.id }
  await LotCase.bulkCreate(
    lot.cases.map((lotCase, position) => ({ ...lotCase, ...key, position })),
    within(scope),
  )
  await LotCheck.bulkCreate(
    lot.checks.map((check) => ({ ...check, ...key })),
    within(scope),
  )
}

/** Writes a changed lot; the caller has locked and compared its version. */
export async function replaceLot(scope: Scope, lot: LotEdit, item: string): Promise<void> {
  const { Lot: Lots, LotCase, LotCheck } = scope.database.models
  await Lots.update(lotTable.toRow({ ...lot, item }), { where: ofKitchen(scope, { id: lot.id }), ...within(scope) })
  const parts = { where: ofKitchen(scope, { lotId: lot.id }), ...within(scope) }
  await LotCase.destroy(parts)
  await LotCheck.destroy(parts)
  await insertLists(scope, lot)
}

/** The version of a lot, held against other edits until the transaction ends; null where it is not there. */
export async function lockLot(scope: Scope, id: string): Promise<number | null> {
  const row = await scope.database.models.Lot.findOne({
    attributes: ['version'],
    where: ofKitchen(scope, { id }),
    lock: true,
    raw: true,
    ...within(scope),
  })
  return row?.version ?? null
}

/** When the pictures of a lot were taken, without the pictures. */
export async function photos(scope: Scope, lotId: string) {
  const rows = await scope.database.models.LotPhoto.findAll({
    attributes: ['id', 'takenAt'],
    where: ofKitchen(scope, { lotId }),
    order: ['takenAt', 'id'],
    ...within(scope),
  })
  return rows.map(({ id, takenAt }) => ({ id, takenAt }))
}

export interface WrittenPhoto extends Omit<LotPhoto, 'picture'> {
  picture: Buffer
}

/** Stores a picture of a lot. */
export async function insertPhoto(scope: Scope, lotId: string, photo: WrittenPhoto): Promise<void> {
  await scope.database.models.LotPhoto.create(ofKitchen(scope, { ...photo, lotId }), within(scope))
}

/** How many pictures there are. */
export async function pictureCounts(scope: Scope, lotId: string): Promise<{ ofLot: number; ofKitchen: number }> {
  const { LotPhoto } = scope.database.models
  const [ofLot, inAll] = await Promise.all([
    LotPhoto.count({ where: ofKitchen(scope, { lotId }), ...within(scope) }),
    LotPhoto.count({ where: ofKitchen(scope), ...within(scope) }),
  ])
  return { ofLot, ofKitchen: inAll }
}

/** A picture as JPEG; null where the lot has none of this id. */
export async function pictureOf(scope: Scope, lotId: string, id: string): Promise<Buffer | null> {
  const row = await scope.database.models.LotPhoto.findOne({
    attributes: ['picture'],
    where: ofKitchen(scope, { lotId, id }),
    ...within(scope),
  })
  return row?.picture ?? null
}

/** Whether a line of an order is expected in this kitchen. */
export const isExpected = async (scope: Scope, id: string): Promise<boolean> =>
  (await scope.database.models.ExpectedLine.count({ where: ofKitchen(scope, { id }), ...within(scope) })) > 0
