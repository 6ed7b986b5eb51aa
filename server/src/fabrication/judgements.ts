import type { KeptJudgement } from '@fleam/contract/fabrication/judgement'
import type { FabricationState } from '@fleam/contract/fabrication/schemas'
import { appraise, FORMULAS, judgementOf } from '@fleam/core/appraisal'
import { documentOf } from '@fleam/core/fabrication'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

/** Keeps what closed records are judged at now, by the formulas of today. */
export async function keepJudgements(scope: Scope, states: readonly FabricationState[]): Promise<void> {
  const rows = states.flatMap(({ record, facts }) =>
    record.status === 'closed'
      ? [
          {
            ...{ kitchenId: scope.kitchen.id, fabricationId: record.id, formulas: FORMULAS, isKept: true },
            ...judgementOf(appraise(documentOf(record, facts))),
          },
        ]
      : [],
  )
  await scope.database.models.Judgement.bulkCreate(rows, {
    updateOnDuplicate: ['formulas', 'isKept', 'verdict', 'costPerPortion', 'savingPerPortion'],
    ...within(scope),
  })
}

/** Keeps it of records that were judged by the formulas of today, and lets what earlier ones said stand. */
export async function renewJudgements(scope: Scope, states: readonly FabricationState[]): Promise<void> {
  const { Judgement } = scope.database.models
  const where = ofKitchen(scope, { fabricationId: states.map(({ record }) => record.id) })
  const rows = await Judgement.findAll({
    attributes: ['fabricationId', 'formulas'],
    where,
    raw: true,
    ...within(scope),
  })
  const earlier = new Set(rows.flatMap(({ fabricationId, formulas }) => (formulas === FORMULAS ? [] : [fabricationId])))
  await keepJudgements(
    scope,
    states.filter(({ record }) => !earlier.has(record.id)),
  )
}

/** A record that is open again is not judged. */
export async function deleteJudgement(scope: Scope, fabricationId: string): Promise<void> {
  await scope.database.models.Judgement.destroy({ where: ofKitchen(scope, { fabricationId }), ...within(scope) })
}

/** What a record was judged at; null where it is open. */
export async function judgementById(scope: Scope, fabricationId: string): Promise<KeptJudgement | null> {
  const row = await scope.database.models.Judgement.findOne({
    attributes: { exclude: ['kitchenId', 'fabricationId'] },
    where: ofKitchen(scope, { fabricationId }),
    raw: true,
    ...within(scope),
  })
  return row
}
