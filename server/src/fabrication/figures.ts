import { setImmediate as nextTurn } from 'node:timers/promises'
import type { FabricationState, Kitchen } from '@fleam/contract'
import { appraise, documentOf, FIGURES_VERSION, keptBeam, recordFigures, sizeClassOf, twinBeam } from '@fleam/core'
import { QueryTypes } from 'sequelize'
import type { Database } from '../database/index.ts'
import { type Clock, inTransaction, ofKitchen, type Scope, within } from '../scope/index.ts'
import { lockVersion, stateById, statusById } from './store.ts'

/** The row of figures of a closed record. */
function rowOfFigures({ kitchen }: Scope, { record, facts }: FabricationState) {
  const document = documentOf(record, facts)
  const appraisal = appraise(document)
  const isPriced = record.priceFrom !== 'none'
  // What a style assumed, or a cook let stand, tells nothing of the work.
  const isLabourMeasured = record.labourFrom === 'timed' || record.labourFrom === 'typed'
  const { money, units, ap, ...figures } = recordFigures(document, { isPriced, isLabourMeasured }, appraisal)
  return {
    kitchenId: kitchen.id,
    fabricationId: record.id,
    formulas: FIGURES_VERSION,
    factCount: facts.length,
    isCounted: record.leftOut === null && (figures.balance === 'ok' || record.confirmed),
    ...figures,
    ap,
    units,
    sizeFrom: units === null ? null : sizeClassOf(ap / units).from,
    ...money,
    beam: keptBeam(twinBeam(appraisal), isPriced),
  }
}

/** Keeps what a record comes to beside it, in the transaction that changes it; an open one has nothing to keep. */
export async function keepFigures(scope: Scope, state: FabricationState): Promise<void> {
  const { FabricationFigures } = scope.database.models
  if (state.record.status === 'closed') {
    await FabricationFigures.upsert(rowOfFigures(scope, state), within(scope))
    return
  }
  await FabricationFigures.destroy({ where: ofKitchen(scope, { fabricationId: state.record.id }), ...within(scope) })
}

/** Keeps what closed records that were just inserted come to. */
export async function insertFigures(scope: Scope, states: readonly FabricationState[]): Promise<void> {
  const rows = states.filter(({ record }) => record.status === 'closed').map((state) => rowOfFigures(scope, state))
  await scope.database.models.FabricationFigures.bulkCreate(rows, within(scope))
}

/** Facts that reached a record after it was closed change what it comes to. */
export async function countLateFacts(scope: Scope, fabricationIds: Iterable<string>): Promise<void> {
  for (const id of new Set(fabricationIds)) if ((await statusById(scope, id)) === 'closed') await recountOne(scope, id)
}

interface Told {
  id: string
  kitchenId: string
}

/** Closed records without figures, with those of other formulas, or with facts that these do not know of. */
const staleRecords = (database: Database): Promise<Told[]> =>
  database.sequelize.query<Told>(
    `SELECT fabrications.id AS id, fabrications.kitchen_id AS kitchenId
     FROM fabrications LEFT JOIN fabrication_figures AS figures
       ON figures.kitchen_id = fabrications.kitchen_id AND figures.fabrication_id = fabrications.id
     WHERE fabrications.status = 'closed' AND (figures.fabrication_id IS NULL OR figures.formulas <> :formulas
       OR figures.fact_count <> (SELECT COUNT(*) FROM facts
          WHERE facts.kitchen_id = fabrications.kitchen_id AND facts.fabrication_id = fabrications.id))`,
    { type: QueryTypes.SELECT, replacements: { formulas: FIGURES_VERSION } },
  )

/** Makes the figures anew that are not there or not right: after a change of the formulas, or a cut. Tells how many. */
export async function recountStale(database: Database, clock: Clock): Promise<number> {
  const stale = await staleRecords(database)
  const kitchens = new Map<string, Kitchen>()
  for (const { id, kitchenId } of stale) {
    const known = kitchens.get(kitchenId) ?? (await database.models.Kitchen.findByPk(kitchenId))?.get({ plain: true })
    if (!known) continue
    kitchens.set(kitchenId, known)
    await recountOne({ database, kitchen: known, actor: 'office', transaction: null, clock }, id)
  }
  return stale.length
}

/** Makes the figures of every closed record of a kitchen anew. Tells how many. */
export async function recountAll(scope: Scope): Promise<number> {
  const rows = await scope.database.models.Fabrication.findAll({
    attributes: ['id'],
    where: ofKitchen(scope, { status: 'closed' as const }),
    raw: true,
    ...within(scope),
  })
  for (const { id } of rows) await recountOne(scope, id)
  return rows.length
}

/** Under the record's lock: of two that count at once the later one knows of all that the earlier one did. */
async function recountOne(scope: Scope, id: string): Promise<void> {
  // Between two records others are served: no weighing waits for twenty thousand of them.
  await nextTurn()
  await inTransaction(scope, async (inside) => {
    await lockVersion(inside, id)
    const state = await stateById(inside, id)
    if (state) await keepFigures(inside, state)
  })
}
