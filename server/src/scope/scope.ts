import { setTimeout as sleep } from 'node:timers/promises'
import type { Kitchen } from '@fleam/contract/kitchen/schemas'
import type { UnreadableRow } from '@fleam/contract/unreadable/schemas'
import type { Transaction } from 'sequelize'
import { type Database, databaseCode } from '../database/index.ts'

export interface Clock {
  now: () => Date
}

/** Who acts: a device where weighing is done, or somebody who plans and decides. */
export type Actor = 'bench' | 'office'

/** What every service and store works within: it travels as one value, and nothing of it stands beside it. */
export interface Scope {
  database: Database
  kitchen: Kitchen
  actor: Actor
  /** The transaction that it is part of; null where each statement stands for itself. */
  transaction: Transaction | null
  clock: Clock
  /** Told of each row that a list leaves out because it cannot be read. */
  onUnreadable?: (row: UnreadableRow) => void
}

/** Options of a query that belongs to a scope: its transaction. */
export const within = ({ transaction }: Scope) => ({ transaction })

/** The rows of a scope's kitchen, with more conditions. */
export const ofKitchen = <W extends object>({ kitchen }: Scope, where: W = {} as W) => ({
  kitchenId: kitchen.id,
  ...where,
})

/** A part that is read with its row: of the same kitchen, also where another one has the same id. */
export const partOf = <O extends object>(scope: Scope, association: string, options: O = {} as O) => ({
  association,
  where: ofKitchen(scope),
  required: false,
  ...options,
})

/**
 * Runs the work in one transaction: in the one that the scope has, or in one of its own, all or nothing. Work that meets
 * a deadlock is run again from its beginning, so what it reads to decide it reads within.
 */
export async function inTransaction<T>(scope: Scope, work: (scope: Scope) => Promise<T>): Promise<T> {
  if (scope.transaction) return work(scope)
  for (let attempt = 1; ; attempt++) {
    try {
      return await scope.database.sequelize.transaction((transaction) => work({ ...scope, transaction }))
    } catch (error) {
      // Two that need each other's rows: the database has undone this one, and it is run again.
      if (databaseCode(error) !== 'ER_LOCK_DEADLOCK' || attempt >= MAX_ATTEMPTS) throw error
      await sleep(attempt * PAUSE_MS * (1 + Math.random()))
    }
  }
}

/** How often a transaction is run at most. */
const MAX_ATTEMPTS = 6
const PAUSE_MS = 8
