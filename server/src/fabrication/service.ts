import type { FabricationEdit, FabricationRow, FabricationState } from '@fleam/contract'
import { documentOf, type FabricationDocument, type PlannedPile } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import { notFound, Refusal } from '../http/problems.ts'
import { requireKitchen } from '../kitchen/service.ts'
import * as store from './store.ts'

export async function requireState(database: Sequelize, kitchenId: string, id: string): Promise<FabricationState> {
  const state = await store.stateById(database, kitchenId, id)
  if (!state) throw notFound('fabrication')
  return state
}

/** The document as it stands now; clocks that run count up to `now`. */
const documentOfState = (state: FabricationState, now: Date) =>
  documentOf(state.record, state, { nowMs: now.getTime() })

export async function requireDocument(
  database: Sequelize,
  kitchenId: string,
  id: string,
  now: Date,
): Promise<FabricationDocument> {
  return documentOfState(await requireState(database, kitchenId, id), now)
}

const MOST_LISTED = 200

export async function latest(database: Sequelize, kitchenId: string, now: Date): Promise<FabricationRow[]> {
  await requireKitchen(database, kitchenId)
  const states = await store.latestStates(database, kitchenId, MOST_LISTED)
  return states.map((state) => {
    const { id, status, startedAt, updatedAt } = state.record
    const nowMs = now.getTime()
    const expected = status === 'open' ? documentOf(state.record, state, { asExpected: true, nowMs }) : null
    return { id, status, startedAt, updatedAt, document: documentOfState(state, now), expected }
  })
}

/** Changes a record; refused with the current one where somebody changed it meanwhile. Readings are never touched. */
export async function change(
  database: Sequelize,
  kitchenId: string,
  id: string,
  edit: FabricationEdit,
  now: Date,
): Promise<FabricationState> {
  const before = await requireState(database, kitchenId, id)
  refuseOtherPiles(before.record.piles, edit.piles)
  const closedAt = edit.status === 'open' ? null : (before.record.closedAt ?? now.toISOString())
  const record = { ...before.record, ...edit, version: edit.version + 1, closedAt, updatedAt: now.toISOString() }
  await database.transaction(async (transaction) => {
    const version = await store.lockVersion(database, kitchenId, id, transaction)
    if (version !== edit.version) {
      const current = await store.stateById(database, kitchenId, id, transaction)
      throw new Refusal('stale-version', `It was read at version ${edit.version} and is at ${version} now.`, {
        current,
      })
    }
    await store.updateRecord(database, kitchenId, record, transaction)
  })
  return requireState(database, kitchenId, id)
}

/** Readings hang on piles, so an edit keeps the same piles, in any order. */
function refuseOtherPiles(before: readonly PlannedPile[], after: readonly PlannedPile[]): void {
  const ids = new Set(before.map((pile) => pile.id))
  const at = after.findIndex((pile) => !ids.delete(pile.id))
  if (at >= 0)
    throw new Refusal('pile-unknown', 'A pile is not one of this fabrication.', {
      issues: [{ path: `piles[${at}].id`, message: 'is not a pile of this fabrication' }],
    })
  if (ids.size > 0)
    throw new Refusal('invalid-input', 'A pile is missing.', {
      issues: [{ path: 'piles', message: 'must hold every pile of this fabrication' }],
    })
}
