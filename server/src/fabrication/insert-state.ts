import { type FabricationRecord, type FabricationState, fabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { Fact } from '@fleam/core/facts'
import { factTable } from '../database/index.ts'
import { requireReadable } from '../http/index.ts'
import { insertMany, inTransaction, type Scope } from '../scope/index.ts'
import { insertFigures, keepFigures } from './figures.ts'
import { keepJudgements } from './judgements.ts'
import * as store from './store.ts'

/** Inserts a record with its facts, all or nothing; refuses, by field, one that could not be read again. */
export async function insertState(scope: Scope, record: FabricationRecord, facts: readonly Fact[]): Promise<void> {
  requireReadable(fabricationRecord, record)
  await inTransaction(scope, async (inside) => {
    await store.insertRecord(inside, record)
    await insertMany(
      inside,
      'Fact',
      facts.map((fact) => factTable.toRow(scope.kitchen.id, fact)),
    )
    // As it is read again: the database keeps nine decimals. The weighings are those that were just stored.
    const kept = record.status === 'closed' ? await store.recordById(inside, record.id) : null
    if (kept) await keepFigures(inside, { record: kept, facts: [...facts] })
  })
}

/** Inserts closed records with their facts in one transaction, or in the one that the scope has. */
export function insertStates(scope: Scope, states: readonly FabricationState[]): Promise<void> {
  for (const { record } of states) requireReadable(fabricationRecord, record)
  return inTransaction(scope, async (inside) => {
    await store.insertRecords(
      inside,
      states.map(({ record }) => record),
    )
    await insertMany(
      inside,
      'Fact',
      states.flatMap(({ facts }) => facts.map((fact) => factTable.toRow(scope.kitchen.id, fact))),
    )
    // As they are read again: the database keeps nine decimals.
    const kept = await store.statesByIds(
      inside,
      states.map(({ record }) => record.id),
    )
    await insertFigures(inside, kept)
    await keepJudgements(inside, kept)
  })
}
