import { setImmediate as nextTurn } from 'node:timers/promises'
import { type FabricationEdit, type FabricationRow, type FabricationState, fabricationRecord } from '@fleam/contract'
import { type CookName, documentOf, expectedDocument, type FabricationDocument, type PlannedPile } from '@fleam/core'
import { notFound, Refusal, requireReadable } from '../http/index.ts'
import { cooks, requireCook } from '../kitchen/index.ts'
import { inTransaction, type Scope } from '../scope/index.ts'
import { requireSupplier } from '../supplier/index.ts'
import * as store from './store.ts'

export async function requireState(scope: Scope, id: string): Promise<FabricationState> {
  const state = await store.stateById(scope, id)
  if (!state) throw notFound('fabrication')
  return state
}

/** Refuses a bench where nobody weighs: its record is finished, or not of this kitchen. */
export async function requireOpen(scope: Scope, id: string): Promise<void> {
  const status = await store.statusById(scope, id)
  if (status === null) throw notFound('fabrication')
  if (status === 'open') return
  throw new Refusal('invalid-input', 'This record is finished: nobody weighs there.', {
    issues: [{ path: 'id', message: 'is finished' }],
  })
}

async function cookNames(scope: Scope): Promise<CookName> {
  const names = new Map((await cooks(scope)).map((cook) => [cook.id, cook.name]))
  return (id) => names.get(id)
}

/** The document as it stands now; clocks that run count up to now. */
export async function requireDocument(scope: Scope, id: string): Promise<FabricationDocument> {
  const { record, facts } = await requireState(scope, id)
  return documentOf(record, facts, { nowMs: scope.clock.now().getTime(), cookName: await cookNames(scope) })
}

const MOST_LISTED = 200

export async function latest(scope: Scope): Promise<FabricationRow[]> {
  const states = await store.latestStates(scope, MOST_LISTED)
  const options = { nowMs: scope.clock.now().getTime(), cookName: await cookNames(scope) }
  const rows: FabricationRow[] = []
  for (const { record, facts } of states) {
    // Between two records others are served: no weighing waits for a list of long ones.
    await nextTurn()
    const { id, status, itemId, styleId, cookId, startedAt, updatedAt } = record
    const document = documentOf(record, facts, options)
    rows.push({
      id,
      status,
      itemId,
      styleId,
      cookId,
      startedAt,
      updatedAt,
      document,
      expected: status === 'open' ? expectedDocument(record, document) : null,
    })
  }
  return rows
}

/** Changes a record; refused with the current one where somebody changed it meanwhile. What was weighed is never touched. */
export async function change(scope: Scope, id: string, edit: FabricationEdit): Promise<FabricationState> {
  const { record: before } = await requireState(scope, id)
  refuseOtherPiles(before.piles, edit.piles)
  const { supplierId, cookId } = edit
  const now = scope.clock.now().toISOString()
  const record = {
    ...before,
    ...edit,
    // A name that was only written stays as long as nobody says whose it is.
    supplier: supplierId === null ? before.supplier : (await requireSupplier(scope, supplierId)).name,
    cook: cookId === null ? before.cook : (await requireCook(scope, cookId)).name,
    version: edit.version + 1,
    closedAt: edit.status === 'open' ? null : (before.closedAt ?? now),
    updatedAt: now,
  }
  requireReadable(fabricationRecord, record)
  await inTransaction(scope, async (inside) => {
    const version = await store.lockVersion(inside, id)
    if (version !== edit.version) {
      const current = await store.stateById(inside, id)
      throw new Refusal('stale-version', `It was read at version ${edit.version} and is at ${version} now.`, {
        current,
      })
    }
    await store.updateRecord(inside, record)
  })
  return requireState(scope, id)
}

/** What was weighed hangs on piles, so an edit keeps the same piles, in any order. */
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
