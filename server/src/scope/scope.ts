import type { Kitchen } from '@fleam/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/index.ts'

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

/** Runs the work in one transaction: in the one that the scope has, or in one of its own, all or nothing. */
export function inTransaction<T>(scope: Scope, work: (scope: Scope) => Promise<T>): Promise<T> {
  if (scope.transaction) return work(scope)
  return scope.database.sequelize.transaction((transaction) => work({ ...scope, transaction }))
}
