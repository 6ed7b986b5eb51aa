import type { FabricationRecord, FabricationState } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { databaseCode } from '../database/connection.ts'
import { insertRows } from '../database/rows.ts'
import { Refusal } from '../http/problems.ts'
import { readingRow } from './rows.ts'
import * as store from './store.ts'

/** Inserts a record with its readings, all or nothing; an id that this kitchen has already is left as it is. */
export async function insertOnce(
  database: Sequelize,
  kitchenId: string,
  record: FabricationRecord,
  readings: FabricationState['readings'],
): Promise<void> {
  try {
    await database.transaction(async (transaction) => {
      await store.insertRecord(database, kitchenId, record, transaction)
      const rows = readings.map((reading) => readingRow(kitchenId, record.id, reading))
      await insertRows(database, 'readings', rows, transaction)
    })
  } catch (error) {
    if (databaseCode(error) !== 'ER_DUP_ENTRY') throw error
    if (await store.stateById(database, kitchenId, record.id)) return
    throw new Refusal('id-taken', 'This id stands for another record.', {
      issues: [{ path: 'id', message: 'is taken' }],
    })
  }
}
