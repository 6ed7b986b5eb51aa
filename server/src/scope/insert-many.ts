import { setImmediate as nextTurn } from 'node:timers/promises'
import { databaseAttributes } from '../database/index.ts'
import { type Scope, within } from './scope.ts'

/** Rows of one statement: between two of them others are served, so that no weighing waits for a long list. */
const ROWS_A_TURN = 250

/**
 * Inserts many rows of one table. Raw, because a price list has tens of thousands of them, a document ten thousand
 * weighings, and building an instance of each takes longer than storing it (`npm run bench`, prices taken in).
 */
export async function insertMany(
  scope: Scope,
  table: 'Article' | 'ArticlePrice' | 'Fact',
  rows: readonly object[],
): Promise<void> {
  const model = scope.database.models[table]
  const { columns, valuesOf } = databaseAttributes<never>(model as never, table === 'Fact' ? ['receivedAt'] : [])
  for (let from = 0; from < rows.length; from += ROWS_A_TURN) {
    await scope.database.sequelize.query(`INSERT INTO ${model.getTableName()} (${columns.join(',')}) VALUES ?`, {
      replacements: [rows.slice(from, from + ROWS_A_TURN).map((row) => valuesOf(row))],
      ...within(scope),
    })
    await nextTurn()
  }
}
