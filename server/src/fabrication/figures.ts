import { setImmediate as nextTurn } from 'node:timers/promises'
import type { FabricationRecord, FabricationState } from '@fleam/contract/fabrication/schemas'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import { appraise, FORMULAS } from '@fleam/core/appraisal'
import { keptBeam, twinBeam } from '@fleam/core/beam'
import { documentOf } from '@fleam/core/fabrication'
import { FIGURES_VERSION, recordFigures, sizeClassOf, takenTwice } from '@fleam/core/logbook'
import { median } from '@fleam/core/statistics'
import { QueryTypes } from 'sequelize'
import type { Database } from '../database/index.ts'
import { Refusal, type Steps } from '../http/index.ts'
import { type Clock, inTransaction, ofKitchen, type Scope, within } from '../scope/index.ts'
import { deleteJudgement, keepJudgements, renewJudgements } from './judgements.ts'
import { lockVersions, statesByIds, updateStatus } from './store.ts'

/** In what words are looked for: lot and notes, and the names that lead to no row. */
function writtenOf({
  lot,
  notes,
  itemId,
  item,
  styleId,
  style,
  cookId,
  cook,
  supplierId,
  supplier,
}: FabricationRecord) {
  const names = [itemId ? null : item, styleId ? null : style, cookId ? null : cook, supplierId ? null : supplier]
  return [lot, notes, ...names].filter(Boolean).join(' ') || null
}

/** The rows of a closed record: its figures, its beams, and its piles. */
function rowsOfFigures({ kitchen }: Scope, { record, facts }: FabricationState) {
  const document = documentOf(record, facts)
  const appraisal = appraise(document)
  const isPriced = record.priceFrom !== 'none'
  // What a style assumed, or a cook let stand, tells nothing of the work.
  const isLabourMeasured = record.labourFrom === 'timed' || record.labourFrom === 'typed'
  const { money, units, ap, ...figures } = recordFigures(document, { isPriced, isLabourMeasured }, appraisal)
  const of = { kitchenId: kitchen.id, fabricationId: record.id }
  return {
    figures: {
      ...of,
      date: record.date,
      itemKey: record.itemId ?? record.item,
      styleKey: record.styleId ?? record.style,
      cookKey: record.cookId ?? record.cook,
      supplierKey: record.supplierId ?? record.supplier,
      formulas: FIGURES_VERSION,
      factCount: facts.length,
      isCounted: record.leftOut === null && (figures.balance === 'ok' || record.confirmed),
      causes: record.causes.length,
      isBaseline: record.causes.some(({ isLasting }) => isLasting),
      ...figures,
      ap,
      units,
      sizeFrom: units === null ? null : sizeClassOf(ap / units).from,
      ...money,
      written: writtenOf(record),
      twice: takenTwice(facts, record.piles),
    },
    beam: { ...of, beam: keptBeam(twinBeam(appraisal), isPriced) },
    piles: record.piles.map(({ stylePileId, name, class: own }, position) => {
      const pieces = document.piles[position]?.pieces ?? []
      return {
        ...of,
        position,
        pileKey: stylePileId ?? name,
        name,
        class: own,
        share: appraisal.piles[position]?.share ?? 0,
        pieces: pieces.length,
        middlePiece: pieces.length > 0 ? median(pieces) : null,
        lightestPiece: pieces.length > 0 ? Math.min(...pieces) : null,
      }
    }),
  }
}

/** Keeps what a record comes to beside it, in the transaction that changes it; an open one has nothing to keep. */
export async function keepFigures(scope: Scope, state: FabricationState): Promise<void> {
  await deleteFigures(scope, [state.record.id])
  await insertFigures(scope, [state])
  if (state.record.status === 'closed') await keepJudgements(scope, [state])
  else await deleteJudgement(scope, state.record.id)
}

/** Takes what some records come to away: they count nowhere. */
async function deleteFigures(scope: Scope, ids: readonly string[]): Promise<void> {
  const { FabricationBeam, FabricationFigures, FabricationPileFigures } = scope.database.models
  const of = { where: ofKitchen(scope, { fabricationId: [...ids] }), ...within(scope) }
  await FabricationPileFigures.destroy(of)
  await FabricationBeam.destroy(of)
  await FabricationFigures.destroy(of)
}

/** Lets a record that cannot be read count nowhere; what was weighed for it is kept. */
export async function abandonRecord(scope: Scope, id: string): Promise<void> {
  await updateStatus(scope, id, 'abandoned')
  await deleteFigures(scope, [id])
  await deleteJudgement(scope, id)
}

/** Keeps what closed records that were just inserted come to. */
export async function insertFigures(scope: Scope, states: readonly FabricationState[]): Promise<void> {
  const { FabricationBeam, FabricationFigures, FabricationPileFigures } = scope.database.models
  const rows = states.filter(({ record }) => record.status === 'closed').map((state) => rowsOfFigures(scope, state))
  await FabricationFigures.bulkCreate(
    rows.map(({ figures }) => figures),
    within(scope),
  )
  await FabricationBeam.bulkCreate(
    rows.map(({ beam }) => beam),
    within(scope),
  )
  await FabricationPileFigures.bulkCreate(
    rows.flatMap(({ piles }) => piles),
    within(scope),
  )
}

/** Facts that reached closed records change what they come to. */
export async function countLateFacts(scope: Scope, fabricationIds: Iterable<string>): Promise<void> {
  const ids = [...new Set(fabricationIds)]
  for (let from = 0; from < ids.length; from += AT_A_TIME) await recount(scope, ids.slice(from, from + AT_A_TIME))
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
       LEFT JOIN judgements
       ON judgements.kitchen_id = fabrications.kitchen_id AND judgements.fabrication_id = fabrications.id
     WHERE fabrications.status = 'closed' AND (figures.fabrication_id IS NULL OR figures.formulas <> :formulas
       OR judgements.fabrication_id IS NULL OR (NOT judgements.is_kept AND judgements.formulas = :today)
       OR figures.fact_count <> (SELECT COUNT(*) FROM facts
          WHERE facts.kitchen_id = fabrications.kitchen_id AND facts.fabrication_id = fabrications.id))`,
    { type: QueryTypes.SELECT, replacements: { formulas: FIGURES_VERSION, today: FORMULAS } },
  )

/** Makes the figures anew that are not there or not right: after a change of the formulas, or a cut. Tells how many. */
export async function recountStale(database: Database, clock: Clock): Promise<number> {
  const stale = await staleRecords(database)
  const kitchens = new Map<string, Kitchen>()
  for (const { id, kitchenId } of stale) {
    const known = kitchens.get(kitchenId) ?? (await database.models.Kitchen.findByPk(kitchenId))?.get({ plain: true })
    if (!known) continue
    kitchens.set(kitchenId, known)
    await recount({ database, kitchen: known, actor: 'office', transaction: null, clock }, [id])
  }
  return stale.length
}

/** So many records are counted anew in one transaction, before it is told how far it is. */
const AT_A_TIME = 50

/** Makes the figures of every closed record of a kitchen anew, telling how far it is. Answers with how many. */
export async function recountAll(scope: Scope, { onProgress, isCancelled }: Steps): Promise<number> {
  const rows = await scope.database.models.Fabrication.findAll({
    attributes: ['id'],
    where: ofKitchen(scope, { status: 'closed' as const }),
    raw: true,
    ...within(scope),
  })
  const ids = rows.map(({ id }) => id)
  for (let from = 0; from < ids.length; from += AT_A_TIME) {
    if (isCancelled()) throw new Refusal('cancelled', `${from} of ${ids.length} records were counted.`)
    onProgress(from, ids.length)
    await recount(scope, ids.slice(from, from + AT_A_TIME))
  }
  return ids.length
}

/** Under the records' locks: of two that count at once the later one knows of all that the earlier one did. */
async function recount(scope: Scope, ids: readonly string[]): Promise<void> {
  // Between two transactions others are served: no weighing waits for twenty thousand records.
  await nextTurn()
  await inTransaction(scope, async (inside) => {
    await lockVersions(inside, ids)
    const states = await statesByIds(inside, ids)
    await deleteFigures(inside, ids)
    await insertFigures(inside, states)
    await renewJudgements(inside, states)
  })
}
