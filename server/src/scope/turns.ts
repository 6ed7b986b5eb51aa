import { inTransaction, type Scope, within } from './scope.ts'

/** What decisions of one kitchen are about: two about the same are made one after the other. */
export type Decision = 'cooks' | 'pictures' | 'prices' | 'records' | 'styles' | 'suppliers' | 'what-ifs'

/**
 * Runs work that decides by what it reads: within one transaction, after every other decision about the same has been
 * committed, so that what it reads is what there is when it writes. Work that is part of a larger transaction reads
 * nothing before it takes its turn, or sees what was there before.
 */
export const decide = <T>(scope: Scope, about: Decision, work: (scope: Scope) => Promise<T>): Promise<T> =>
  inTransaction(scope, async (inside) => {
    await takeTurn(inside, about)
    return work(inside)
  })

/**
 * Waits for every other transaction that decides about the same, and makes later ones wait for this. By the kitchen's
 * own row every weighing would wait, as each of them points at it. Raw: a model has no words for adding one.
 */
export async function takeTurn(scope: Scope, about: Decision): Promise<void> {
  await scope.database.sequelize.query(
    'INSERT INTO turns (kitchen_id, about) VALUES (:kitchenId, :about) ON DUPLICATE KEY UPDATE taken = taken + 1',
    { replacements: { kitchenId: scope.kitchen.id, about }, ...within(scope) },
  )
}
