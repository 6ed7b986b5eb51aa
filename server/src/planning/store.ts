import { daysBetween } from '@fleam/core/calendar'
import type { PlanDraft } from '@fleam/core/planning'
import type { ExpectedLine, Plan, PlanAccepted, PlannedEdit, PlannedFabrication } from '@fleam/core/plans'
import { type KeptSchedule, keptSchedule, type ToldTask } from '@fleam/core/plans'
import { Op, type Order, type WhereOptions } from 'sequelize'
import {
  expectedLineTable,
  type OrderPlanModel,
  orderPlanTable,
  plannedFabricationTable,
  toldTaskTable,
} from '../database/index.ts'
import { eachReadable, ofKitchen, partOf, type Scope, within } from '../scope/index.ts'

/** The newest plans that a list shows. */
export const MAX_LISTED = 200

export type KeptPlan = Omit<Plan, 'accepted' | 'told'> & {
  accepted: Omit<NonNullable<Plan['accepted']>, 'expected' | 'planned'> | null
}

/** A plan with what was accepted of it; what is expected and planned is asked for by itself. */
export async function planById(scope: Scope, id: string, { isLocked = false } = {}): Promise<KeptPlan | null> {
  const row = await scope.database.models.OrderPlan.findOne({
    where: ofKitchen(scope, { id }),
    ...(isLocked ? { lock: true } : {}),
    ...within(scope),
  })
  if (!row) return null
  const { acceptedAt, accepted } = row
  return {
    ...orderPlanTable.fromRow(row),
    accepted: acceptedAt && accepted ? { at: acceptedAt, ...accepted } : null,
    schedule: readSchedule(scope, row),
  }
}

/** Every accepted plan with what it was made of, as it was then. */
export async function acceptedPlans(scope: Scope) {
  const rows = await scope.database.models.OrderPlan.findAll({
    where: ofKitchen(scope, { acceptedAt: { [Op.not]: null } }),
    order: [['createdAt', 'DESC']],
    limit: MAX_LISTED,
    ...within(scope),
  })
  return rows.flatMap(({ id, name, accepted }) => (accepted ? [{ id, name, ...accepted }] : []))
}

/** The schedule of a plan; one that cannot be read is none, and told. */
function readSchedule(scope: Scope, row: OrderPlanModel): KeptSchedule | null {
  const { id, name } = row
  const kept = [row].filter(({ schedule }) => schedule !== null)
  return (
    eachReadable(
      scope,
      kept,
      () => ({ kind: 'schedule', id, name }),
      ({ schedule }) => keptSchedule.parse(schedule),
    )[0] ?? null
  )
}

/** Stores a plan as a draft. */
export async function insertPlan(scope: Scope, { id, name, draft }: Pick<Plan, 'id' | 'name' | 'draft'>) {
  const now = scope.clock.now().toISOString()
  const plan = { id, name, draft, version: 1, acceptedAt: null, accepted: null, schedule: null }
  const row = { ...plan, createdAt: now, updatedAt: now }
  await scope.database.models.OrderPlan.create(ofKitchen(scope, row), within(scope))
}

type PlanColumns = Partial<{
  name: string
  draft: PlanDraft
  version: number
  acceptedAt: string | null
  accepted: Pick<PlanAccepted, 'draft' | 'goods' | 'answer'> | null
  schedule: Plan['schedule']
}>

/** Overwrites columns of a plan. */
export async function updatePlan(scope: Scope, id: string, columns: PlanColumns): Promise<void> {
  await scope.database.models.OrderPlan.update(
    { ...columns, updatedAt: scope.clock.now().toISOString() },
    { where: ofKitchen(scope, { id }), ...within(scope) },
  )
}

/** Deletes a plan. */
export async function deletePlan(scope: Scope, id: string): Promise<void> {
  await scope.database.models.OrderPlan.destroy({ where: ofKitchen(scope, { id }), ...within(scope) })
}

/** Ids of the planned fabrications of a plan. */
export async function plannedIds(scope: Scope, planId: string): Promise<Set<string>> {
  const { PlannedFabrication: Planned } = scope.database.models
  const where = ofKitchen(scope, { planId })
  const rows = await Planned.findAll({ attributes: ['id'], where, raw: true, ...within(scope) })
  return new Set(rows.map(({ id }) => id))
}

/** Ids of the deliveries that a plan expects. */
export async function expectedIds(scope: Scope, planId: string): Promise<Set<string>> {
  const { ExpectedLine: Lines } = scope.database.models
  const rows = await Lines.findAll({
    attributes: ['id'],
    where: ofKitchen(scope, { planId }),
    raw: true,
    ...within(scope),
  })
  return new Set(rows.map(({ id }) => id))
}

type NewLine = Omit<ExpectedLine, 'plan' | 'supplier' | 'arrived' | 'lots'>

/** Stores what an accepted plan ordered, line by line. */
export async function insertExpected(scope: Scope, lines: readonly NewLine[]): Promise<void> {
  const rows = lines.map((line, position) => ({ ...line, position, kitchenId: scope.kitchen.id, arrived: null }))
  await scope.database.models.ExpectedLine.bulkCreate(rows, within(scope))
}

/** Lines of orders of accepted plans, by their day, with what came of each. */
export async function expectedLines(scope: Scope, where: WhereOptions): Promise<ExpectedLine[]> {
  const rows = await scope.database.models.ExpectedLine.findAll({
    where: { [Op.and]: [ofKitchen(scope), where] },
    include: [
      partOf(scope, 'plan', { attributes: ['name'] }),
      partOf(scope, 'supplier', { attributes: ['name'] }),
      partOf(scope, 'lots', { attributes: ['id', 'code', 'pieces', 'expectedLineId'] }),
    ],
    order: [
      ['day', 'ASC'],
      ['supplierId', 'ASC'],
      ['position', 'ASC'],
    ] as Order,
    ...within(scope),
  })
  return rows.map((row) => {
    const lots = (row.lots ?? []).map(({ id, code, pieces }) => ({ id, code, pieces: pieces ?? null }))
    return { ...expectedLineTable.fromRow(row), plan: row.plan?.name ?? '', supplier: row.supplier?.name ?? '', lots }
  })
}

/** Lines of orders of a plan: its own, and those of the plans in whose place it stands. */
export async function linesOfPlan(scope: Scope, planId: string): Promise<ExpectedLine[]> {
  const before = new Map((await acceptedPlans(scope)).map(({ id, draft }) => [id, draft.replaces]))
  const planIds = [planId]
  for (let id = before.get(planId); id && !planIds.includes(id); id = before.get(id)) planIds.push(id)
  return expectedLines(scope, { planId: planIds })
}

/** A line that comes otherwise than it was ordered. */
export async function updateLine(
  scope: Scope,
  id: string,
  columns: Partial<Pick<ExpectedLine, 'day' | 'packs' | 'units' | 'arrived'>>,
): Promise<void> {
  await scope.database.models.ExpectedLine.update(columns, { where: ofKitchen(scope, { id }), ...within(scope) })
}

/** Says of all that waits of a plan that it is not cut after all, or takes that back. */
export async function dropWaiting(scope: Scope, planId: string, isDropped: boolean): Promise<void> {
  await scope.database.models.PlannedFabrication.update(
    { isDropped },
    { where: ofKitchen(scope, { planId, fabricationId: null }), ...within(scope) },
  )
}

/** Says how much of a line came; null takes it back. */
export async function updateArrival(scope: Scope, id: string, arrived: number | null): Promise<void> {
  await scope.database.models.ExpectedLine.update({ arrived }, { where: ofKitchen(scope, { id }), ...within(scope) })
}

type NewPlanned = Omit<
  PlannedFabrication,
  'plan' | 'style' | 'item' | 'itemId' | 'real' | 'begins' | 'isDropped' | 'fabricationId'
>

/** Stores what an accepted plan has to be cut. */
export async function insertPlanned(scope: Scope, planned: readonly NewPlanned[]): Promise<void> {
  const rows = planned.map((row, position) => ({
    ...row,
    position,
    kitchenId: scope.kitchen.id,
    isDropped: false,
    fabricationId: null,
  }))
  await scope.database.models.PlannedFabrication.bulkCreate(rows, within(scope))
}

/** Planned fabrications in the order of their days, before anything is known of what became of them. */
export async function plannedWhere(
  scope: Scope,
  where: WhereOptions,
): Promise<Omit<PlannedFabrication, 'real' | 'begins'>[]> {
  const rows = await scope.database.models.PlannedFabrication.findAll({
    where: { [Op.and]: [ofKitchen(scope), where] },
    include: [
      partOf(scope, 'plan', { attributes: ['name'] }),
      partOf(scope, 'style', {
        attributes: ['name', 'itemId'],
        include: [partOf(scope, 'item', { attributes: ['name'] })],
      }),
    ],
    order: [
      ['day', 'ASC'],
      ['planId', 'ASC'],
      ['position', 'ASC'],
    ] as Order,
    ...within(scope),
  })
  return rows.map((row) => {
    const { style } = row
    return {
      ...plannedFabricationTable.fromRow(row),
      plan: row.plan?.name ?? '',
      style: style?.name ?? '',
      itemId: style?.itemId ?? '',
      item: style?.item?.name ?? '',
    }
  })
}

export async function updatePlanned(
  scope: Scope,
  id: string,
  columns: Partial<PlannedEdit & { fabricationId: string | null }>,
): Promise<number> {
  const [changed] = await scope.database.models.PlannedFabrication.update(columns, {
    where: ofKitchen(scope, { id, fabricationId: null }),
    ...within(scope),
  })
  return changed
}

/** Holds lines of orders until the transaction ends: nothing comes of them meanwhile. */
export async function lockExpected(scope: Scope, where: { id: string } | { planId: string }): Promise<void> {
  const { ExpectedLine: Lines } = scope.database.models
  await Lines.findAll({ attributes: ['id'], where: ofKitchen(scope, where), lock: true, raw: true, ...within(scope) })
}

/** Holds what was accepted of a plan until the transaction ends: nothing comes and nothing begins meanwhile. */
export async function lockAccepted(scope: Scope, planId: string): Promise<void> {
  await lockExpected(scope, { planId })
  const { PlannedFabrication: Planned } = scope.database.models
  const where = ofKitchen(scope, { planId })
  await Planned.findAll({ attributes: ['id'], where, lock: true, raw: true, ...within(scope) })
}

/** Takes back what was expected and planned of a plan. */
export async function deleteAccepted(scope: Scope, planId: string): Promise<void> {
  const { ExpectedLine: Lines, PlannedFabrication: Planned } = scope.database.models
  const of = { where: ofKitchen(scope, { planId }), ...within(scope) }
  await Planned.destroy(of)
  await Lines.destroy(of)
}

/** A portion pile of a style: the product that it is, and pieces of one unit. */
export interface PortionPile {
  productId: string
  portionsPerUnit: number
}

/** The portion piles of some styles, by their ids. */
export async function portionPiles(scope: Scope, styleIds: readonly string[]): Promise<Map<string, PortionPile>> {
  const rows = await scope.database.models.StylePile.findAll({
    attributes: ['id', 'productId', 'portionsPerUnit'],
    where: ofKitchen(scope, { styleId: [...styleIds] }),
    raw: true,
    ...within(scope),
  })
  return new Map(
    rows.flatMap(({ id, productId, portionsPerUnit }) =>
      productId === null || !portionsPerUnit ? [] : [[id, { productId, portionsPerUnit }] as const],
    ),
  )
}

/** The schedules of some plans that have one. */
export async function schedules(
  scope: Scope,
  planIds: readonly string[],
): Promise<(KeptSchedule & { from: string })[]> {
  const rows = await scope.database.models.OrderPlan.findAll({
    attributes: ['id', 'name', 'schedule', 'accepted'],
    where: ofKitchen(scope, { id: [...planIds] }),
    ...within(scope),
  })
  return rows.flatMap((row) => {
    const schedule = readSchedule(scope, row)
    return schedule && row.accepted ? [{ ...schedule, from: row.accepted.draft.from }] : []
  })
}

/** Reads every schedule of the kitchen, so that those that cannot be read are told. */
export async function everySchedule(scope: Scope): Promise<void> {
  const rows = await scope.database.models.OrderPlan.findAll({
    attributes: ['id', 'name', 'schedule'],
    where: ofKitchen(scope, { schedule: { [Op.not]: null } }),
    ...within(scope),
  })
  for (const row of rows) readSchedule(scope, row)
}

/** Strikes a plan whole, with what was expected and planned of it. */
export async function deletePlanRow(scope: Scope, id: string): Promise<void> {
  await deleteAccepted(scope, id)
  await deletePlan(scope, id)
}

/** Schedules of accepted plans that have tasks around a day: a pot may stand into the day after. */
export async function schedulesAround(
  scope: Scope,
  day: string,
): Promise<{ id: string; name: string; from: string; schedule: KeptSchedule }[]> {
  const rows = await scope.database.models.OrderPlan.findAll({
    attributes: ['id', 'name', 'schedule', 'accepted'],
    where: ofKitchen(scope, { acceptedAt: { [Op.not]: null }, schedule: { [Op.not]: null } }),
    ...within(scope),
  })
  return rows.flatMap((row) => {
    const { id, name, accepted } = row
    const schedule = readSchedule(scope, row)
    if (!schedule || !accepted) return []
    const { from, days } = accepted.draft
    const at = daysBetween(from, day)
    return at < 0 || at > days + 1 ? [] : [{ id, name, from, schedule }]
  })
}

/** Accepted plans that have a schedule, the latest first. */
export async function latestScheduled(scope: Scope, limit: number) {
  const rows = await scope.database.models.OrderPlan.findAll({
    attributes: ['id', 'name', 'schedule', 'accepted'],
    where: ofKitchen(scope, { acceptedAt: { [Op.not]: null }, schedule: { [Op.not]: null } }),
    order: [['acceptedAt', 'DESC']],
    limit,
    ...within(scope),
  })
  return rows.flatMap((row) => {
    const schedule = readSchedule(scope, row)
    return schedule && row.accepted ? [{ answer: row.accepted.answer, schedule }] : []
  })
}

/** What hands told of the tasks of some plans. */
export async function toldOf(scope: Scope, planIds: readonly string[]): Promise<(ToldTask & { planId: string })[]> {
  const rows = await scope.database.models.ToldTask.findAll({
    where: ofKitchen(scope, { planId: [...planIds] }),
    ...within(scope),
  })
  return rows.map((row) => ({ ...toldTaskTable.fromRow(row), planId: row.planId }))
}
