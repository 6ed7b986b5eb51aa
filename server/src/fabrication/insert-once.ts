import { type FabricationRecord, fabricationRecord } from '@fleam/contract'
import type { Fact } from '@fleam/core'
import { databaseCode } from '../database/index.ts'
import { rowOfFact } from '../facts/index.ts'
import { Refusal, requireReadable } from '../http/index.ts'
import { inTransaction, type Scope, within } from '../scope/index.ts'
import * as store from './store.ts'

/** Inserts a record with its facts, all or nothing; an id that this kitchen has already is left as it is. */
export async function insertOnce(scope: Scope, record: FabricationRecord, facts: readonly Fact[]): Promise<void> {
  requireReadable(fabricationRecord, record)
  try {
    await inTransaction(scope, async (inside) => {
      await store.insertRecord(inside, record)
      await inside.database.models.Fact.bulkCreate(
        facts.map((fact) => rowOfFact(scope.kitchen.id, fact)),
        within(inside),
      )
    })
  } catch (error) {
    if (databaseCode(error) !== 'ER_DUP_ENTRY') throw error
    if (await store.stateById(scope, record.id)) return
    throw new Refusal('id-taken', 'This id stands for another record.', {
      issues: [{ path: 'id', message: 'is taken' }],
    })
  }
}
