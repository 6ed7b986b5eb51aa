import { appraise } from '@fleam/core/appraisal'
import { addDays } from '@fleam/core/calendar'
import { documentOf } from '@fleam/core/fabrication'
import { standingReadings } from '@fleam/core/facts'
import { planLines, plannedWork } from '@fleam/core/planning'
import {
  type ExpectedLine,
  expectedLine,
  type Plan,
  type PlanAccepted,
  type PlanEdit,
  type PlannedEdit,
  type PlannedFabrication,
  plannedFabrication,
} from '@fleam/core/plans'
import { MINUTES_OF_A_DAY } from '@fleam/core/scheduling'
import { unitsDone } from '@fleam/core/weighing'
import { v7 as newId } from 'uuid'
import { z } from 'zod'
import { databaseCode } from '../database/index.ts'
import { statesByIds } from '../fabrication/index.ts'
import { createOnce, isSameContent, notFound, Refusal } from '../http/index.ts'
import { requireCook } from '../kitchen/index.ts'
import { inTransaction, type Scope } from '../scope/index.ts'
import { replaceRest, restoreRest } from './rest.ts'
import * as store from './store.ts'

export async function requirePlan(
  scope: Scope,
  id: string,
  options: { isLocked?: boolean } = {},
): Promise<store.KeptPlan> {
  const plan = await store.planById(scope, id, options)
  if (!plan) throw notFound('plan')
  return plan
}

/** A plan with what was accepted of it, what came and what was cut. */
export async function plan(scope: Scope, id: string): Promise<Plan> {
  const { accepted, ...kept } = await requirePlan(scope, id)
  if (!accepted) return { ...kept, accepted, told: [] }
  const expected = await store.linesOfPlan(scope, id)
  const marks = (await store.toldOf(scope, [id])).map(({ planId: _plan, ...mark }) => mark)
  return { ...kept, told: marks, accepted: { ...accepted, expected, planned: await planned(scope, { planId: id }) } }
}

/** Keeps a new plan; the same one again changes nothing. Throws `id-taken`. */
export async function createPlan(scope: Scope, said: Pick<Plan, 'id' | 'name' | 'draft'>): Promise<Plan> {
  await createOnce({
    read: () => store.planById(scope, said.id),
    create: () => store.insertPlan(scope, said),
    // One that was changed since is not held against how it began.
    isSame: ({ id, name, draft, version }) => version > 1 || isSameContent({ id, name, draft }, said),
    taken: { path: 'id', detail: 'This id stands for another plan.' },
  })
  return plan(scope, said.id)
}

/**
 * Runs a change of a plan at the version that was read, and answers with the plan as it is then; a stale one is refused
 * with the plan as it is now. It is read before the change is committed: what could not be read again is not kept.
 */
export const changePlan = (
  scope: Scope,
  id: string,
  version: number,
  work: (scope: Scope, kept: store.KeptPlan) => Promise<void>,
): Promise<Plan> =>
  inTransaction(scope, async (inside) => {
    const kept = await requirePlan(inside, id, { isLocked: true })
    if (kept.version !== version) {
      throw new Refusal('stale-version', `It was read at version ${version} and is at ${kept.version} now.`, {
        current: kept,
      })
    }
    await work(inside, kept)
    return plan(inside, id)
  })

/** Changes a plan; throws `not-found`, and `stale-version` where somebody changed it meanwhile. */
export const updatePlan = (scope: Scope, id: string, { version, name, draft }: PlanEdit): Promise<Plan> =>
  changePlan(scope, id, version, (inside) => store.updatePlan(inside, id, { name, draft, version: version + 1 }))

/** Deletes a plan; throws `not-found`, and `invalid-input` for one that is accepted. */
export async function deletePlan(scope: Scope, id: string): Promise<void> {
  await inTransaction(scope, async (inside) => {
    const { accepted } = await requirePlan(inside, id, { isLocked: true })
    if (accepted) refuse('id', 'is accepted: take that back first')
    await store.deletePlan(inside, id)
  })
}

/** Throws `invalid-input` for one field. */
export function refuse(path: string, message: string): never {
  throw new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
}

/** Accepts a plan: its orders are expected from here on, and what it cuts is planned at the bench. */
export async function acceptPlan(scope: Scope, id: string, { version, ...accepted }: PlanAccepted): Promise<Plan> {
  const { draft, goods, answer } = accepted
  const lines = planLines(answer, goods, draft)
  const expected = lines.orders.flatMap((order) =>
    order.lines.map(({ productId: _product, money: _money, ...line }) => ({
      ...line,
      id: newId(),
      planId: id,
      supplierId: order.supplierId,
      day: order.day,
    })),
  )
  const work = plannedWork(lines, goods, draft).map(({ delivery, expectedLineId, ...cutting }) => ({
    ...cutting,
    id: newId(),
    planId: id,
    cookId: null,
    expectedLineId:
      expectedLineId ??
      expected.find(({ articleId, day }) => articleId === cutting.articleId && day === delivery)?.id ??
      null,
  }))
  requireKeepable({ expected, planned: work })
  return changePlan(scope, id, version, async (inside, kept) => {
    if (kept.accepted) refuse('id', 'is accepted already')
    const acceptedAt = inside.clock.now().toISOString()
    await replaceRest(inside, accepted)
    await store.updatePlan(inside, id, { acceptedAt, accepted, draft, version: version + 1 })
    try {
      await store.insertExpected(inside, expected)
      await store.insertPlanned(inside, work)
    } catch (error) {
      // What was there when it was planned may be gone: the database refuses what leads nowhere.
      if (databaseCode(error) !== 'ER_NO_REFERENCED_ROW_2') throw error
      refuse('goods', 'has a supplier, style or lot that is not there any more')
    }
  })
}

const keepable = z.object({
  expected: z.array(expectedLine.pick({ packs: true, units: true, price: true })),
  planned: z.array(plannedFabrication.pick({ units: true, minutes: true, portions: true, money: true })),
})

/** Refuses an answer that makes lines or fabrications larger than a kitchen can mean. */
function requireKeepable(rows: z.input<typeof keepable>): void {
  const [issue] = keepable.safeParse(rows).error?.issues ?? []
  if (issue) refuse('answer', `makes ${issue.path.join(' ')}: ${issue.message}`)
}

/** Takes an acceptance back, as long as nothing came of it. */
export const withdrawPlan = (scope: Scope, id: string, version: number): Promise<Plan> =>
  changePlan(scope, id, version, async (inside, kept) => {
    if (!kept.accepted) return
    const heir = (await store.acceptedPlans(inside)).find(({ draft }) => draft.replaces === id)
    if (heir) refuse('id', `cannot be taken back: ${heir.name} stands in its place`)
    // What would come or begin at this moment waits, and then finds nothing.
    await store.lockAccepted(inside, id)
    const lines = await store.expectedLines(inside, { planId: id })
    if (lines.some(({ arrived, lots }) => arrived !== null || lots.length > 0)) {
      refuse('id', 'cannot be taken back: some of it has come')
    }
    const work = await store.plannedWhere(inside, { planId: id })
    if (work.some(({ fabricationId }) => fabricationId !== null)) {
      refuse('id', 'cannot be taken back: some of it has been cut')
    }
    await store.deleteAccepted(inside, id)
    await restoreRest(inside, kept.accepted.draft)
    await store.updatePlan(inside, id, { acceptedAt: null, accepted: null, schedule: null, version: version + 1 })
  })

/** Says how much of an expected line came; throws `not-found`. */
export async function arrive(scope: Scope, id: string, arrived: number | null): Promise<ExpectedLine> {
  return inTransaction(scope, async (inside) => {
    await store.lockExpected(inside, { id })
    const [line] = await store.expectedLines(inside, { id })
    if (!line) throw notFound('expected line')
    await store.updateArrival(inside, id, arrived)
    return { ...line, arrived }
  })
}

/** Planned fabrications with what each really was, once it is begun. */
export async function planned(
  scope: Scope,
  where: Parameters<typeof store.plannedWhere>[1],
): Promise<PlannedFabrication[]> {
  const rows = await store.plannedWhere(scope, where)
  const begun = rows.flatMap(({ fabricationId }) => fabricationId ?? [])
  const states = new Map((await statesByIds(scope, begun)).map((state) => [state.record.id, state]))
  const lines = await store.expectedLines(scope, {
    id: rows.flatMap(({ expectedLineId }) => expectedLineId ?? []),
  })
  const pilesOf = await store.portionPiles(scope, [...new Set(rows.map(({ styleId }) => styleId))])
  const begins = await beginnings(scope, rows)
  const lotOf = new Map(lines.map(({ id, lots }) => [id, lots.at(-1)?.id ?? null]))
  return rows.map((row): PlannedFabrication => {
    const state = row.fabricationId === null ? undefined : states.get(row.fabricationId)
    const lotId = row.lotId ?? (row.expectedLineId === null ? null : (lotOf.get(row.expectedLineId) ?? null))
    return {
      ...row,
      begins: begins.get(row.id)?.begins ?? null,
      lotId,
      real: state ? realOf(state, row, pilesOf) : null,
    }
  })
}

interface Beginning {
  start: number
  begins: NonNullable<PlannedFabrication['begins']>
}

/** When the schedules of its plans begin each fabrication, and who does. */
async function beginnings(scope: Scope, rows: readonly { planId: string }[]): Promise<Map<string, Beginning>> {
  const schedules = await store.schedules(scope, [...new Set(rows.map(({ planId }) => planId))])
  if (schedules.length === 0) return new Map()
  const first = new Map<string, Beginning>()
  for (const { from, tasks } of schedules) {
    for (const { jobId, start, cookId } of tasks) {
      if (cookId === null || start >= (first.get(jobId)?.start ?? Number.POSITIVE_INFINITY)) continue
      const day = addDays(from, Math.floor(start / MINUTES_OF_A_DAY))
      first.set(jobId, { start, begins: { day, minute: start % MINUTES_OF_A_DAY, cookId } })
    }
  }
  return first
}

type State = Awaited<ReturnType<typeof statesByIds>>[number]

/** What it really was, in portions as they were planned: where one plate was two pieces, two pieces are one again. */
function realOf(
  { record, facts }: State,
  { portions, units, styleId }: Pick<PlannedFabrication, 'portions' | 'units' | 'styleId'>,
  pilesOf: ReadonlyMap<string, store.PortionPile>,
) {
  const { piles, cost } = appraise(documentOf(record, facts))
  const weighings = standingReadings(facts)
  return {
    isClosed: record.status === 'closed',
    startedAt: record.startedAt,
    lastAt:
      weighings
        .map(({ takenAt }) => takenAt)
        .sort()
        .at(-1) ?? null,
    closedAt: record.closedAt,
    unitsDone: unitsOf({ record }, piles),
    cookId: record.cookId,
    units: record.units,
    minutes: record.labour.reduce((sum, entry) => sum + entry.minutes, 0),
    portions: portions.flatMap(({ productId, quantity }) => {
      const places = record.piles.flatMap(({ stylePileId }, index) =>
        record.styleId === styleId && pilesOf.get(stylePileId ?? '')?.productId === productId ? [index] : [],
      )
      const perUnit = places.reduce(
        (sum, index) => sum + (pilesOf.get(record.piles[index]?.stylePileId ?? '')?.portionsPerUnit ?? 0),
        0,
      )
      const pieces = places.reduce((sum, index) => sum + (piles[index]?.portions ?? 0), 0)
      return perUnit > 0 ? [{ productId, quantity: (pieces * quantity) / (perUnit * units) }] : []
    }),
    money: cost.in,
  }
}

/** Units of which all that is counted was weighed; all of a finished one. */
function unitsOf({ record }: Pick<State, 'record'>, weighed: readonly { portions: number | null }[]): number {
  const units = record.units ?? 0
  if (record.status === 'closed' || units === 0) return units
  const counts = new Map(record.piles.map(({ id }, index) => [id, weighed[index]?.portions ?? 0]))
  return unitsDone({ units, piles: record.piles, counts })
}

/** Says who cuts something planned, or that it is not cut after all; what has begun stays as it is. */
export async function updatePlanned(scope: Scope, id: string, edit: PlannedEdit): Promise<PlannedFabrication> {
  if (edit.cookId !== null) await requireCook(scope, edit.cookId)
  const changedRows = await store.updatePlanned(scope, id, edit)
  const [row] = await planned(scope, { id })
  if (!row) throw notFound('planned fabrication')
  if (changedRows === 0 && row.fabricationId !== null) refuse('id', 'has begun')
  return row
}

/** Says that a planned fabrication has begun; refuses one that has already, or is not planned here. */
export async function beginPlanned(scope: Scope, id: string, fabricationId: string): Promise<void> {
  if ((await store.updatePlanned(scope, id, { fabricationId })) > 0) return
  refuse('plannedId', 'is no planned fabrication that waits to be cut')
}
