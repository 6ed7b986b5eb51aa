import { setImmediate as nextTurn } from 'node:timers/promises'
import { editOf } from '@fleam/contract/fabrication/edit'
import type { KeptJudgement } from '@fleam/contract/fabrication/judgement'
import {
  type FabricationEdit,
  type FabricationRecord,
  type FabricationRow,
  type FabricationState,
  fabricationRecord,
  type RecordVersion,
} from '@fleam/contract/fabrication/schemas'
import { type CookName, documentOf, type FabricationDocument, type PlannedPile } from '@fleam/core/fabrication'
import { standingMarks, standingReadings } from '@fleam/core/facts'
import { countsOf, expectedDocument } from '@fleam/core/weighing'
import { notFound, Refusal, refuseTaken, requireReadable } from '../http/index.ts'
import { cooks, requireCook } from '../kitchen/index.ts'
import { eachReadable, inTransaction, type Scope } from '../scope/index.ts'
import { requireStyle } from '../style/index.ts'
import { requireSupplier } from '../supplier/index.ts'
import { countLateFacts, keepFigures } from './figures.ts'
import { judgementById } from './judgements.ts'
import * as store from './store.ts'

/** A record with its facts; throws `not-found`. */
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

/** The newest records, open ones first; of an open one also how it would end. */
export async function latest(scope: Scope, limit: number): Promise<FabricationRow[]> {
  const states = await store.latestStates(scope, limit)
  const options = { nowMs: scope.clock.now().getTime(), cookName: await cookNames(scope) }
  const rows: FabricationRow[] = []
  for (const { record, facts } of states) {
    // Between two records others are served: no weighing waits for a list of long ones.
    await nextTurn()
    const { id, status, priceFrom, itemId, styleId, cookId, startedAt, updatedAt, units } = record
    const head = { id, status, priceFrom, itemId, styleId, cookId, startedAt, updatedAt, units }
    const name = `${record.item}, ${record.style}`
    const read = () => {
      const standing = standingReadings(facts)
      const document = documentOf(record, facts, { ...options, standing })
      if (status !== 'open') return { ...head, document, expected: null, coldMarks: [] }
      const marks = standingMarks(facts)
      const expected = expectedDocument(record, document, { marks, counts: countsOf(record.piles, standing) })
      const coldMarks = marks.filter(({ mark }) => mark === 'cold-out' || mark === 'cold-in')
      return { ...head, document, expected, coldMarks }
    }
    rows.push(...eachReadable(scope, [record], () => ({ kind: 'fabrication', id, name }), read))
  }
  return rows
}

/** Changes a record; refused with the current one where somebody changed it meanwhile. What was weighed is never touched. */
export async function change(scope: Scope, id: string, edit: FabricationEdit): Promise<FabricationState> {
  await refuseTaken('piles', 'A pile with this id is there already.', () =>
    inTransaction(scope, async (inside) => {
      const version = await store.lockVersion(inside, id)
      if (version === null) throw notFound('fabrication')
      if (version !== edit.version) {
        const current = await store.stateById(inside, id)
        throw new Refusal('stale-version', `It was read at version ${edit.version} and is at ${version} now.`, {
          current,
        })
      }
      const before = await store.recordById(inside, id)
      if (!before) throw notFound('fabrication')
      const record = await changedRecord(inside, before, edit)
      await store.insertVersion(inside, editOf(before), id)
      await store.updateRecord(inside, record)
      const changed = await store.stateById(inside, id)
      if (changed) await keepFigures(inside, changed)
    }),
  )
  // A weighing that was stored while it was being closed counts too.
  if (edit.status === 'closed') await countLateFacts(scope, [id])
  return requireState(scope, id)
}

/** The record as the edit leaves it; refused where a kitchen cannot mean it. */
async function changedRecord(scope: Scope, before: FabricationRecord, edit: FabricationEdit) {
  refuseMissingPiles(before.piles, edit.piles)
  const { supplierId, cookId } = edit
  const now = scope.clock.now().toISOString()
  const record = {
    ...before,
    ...edit,
    ...(await cutAs(scope, before, edit)),
    // A name that was only written stays as long as nobody says whose it is.
    supplier: supplierId === null ? written(before, 'supplier') : (await requireSupplier(scope, supplierId)).name,
    cook: cookId === null ? written(before, 'cook') : (await requireCook(scope, cookId)).name,
    version: edit.version + 1,
    closedAt: edit.status === 'closed' ? (before.closedAt ?? now) : null,
    updatedAt: now,
  }
  requireReadable(fabricationRecord, record)
  return record
}

/** A name that a document brought and that is of no row here. */
const written = (record: FabricationRecord, of: 'cook' | 'supplier') => (record[`${of}Id`] === null ? record[of] : null)

/** What a record is cut from and how, where an edit says another style: its piles are those of that style by their names. */
async function cutAs(scope: Scope, before: FabricationRecord, { styleId, piles }: FabricationEdit) {
  if (styleId === before.styleId) return {}
  if (styleId === null) return { itemId: before.itemId, styleId }
  const { item, style } = await requireStyle(scope, styleId)
  const pileId = (name: string) => style.piles.find((pile) => pile.name === name)?.id ?? null
  return {
    itemId: item.id,
    item: item.name,
    style: style.name,
    species: item.species,
    shape: item.shape,
    piles: piles.map((pile) => ({ ...pile, stylePileId: pileId(pile.name) })),
  }
}

/** What a record was judged at when it was closed; null for one that is open. */
export async function judgement(scope: Scope, id: string): Promise<KeptJudgement | null> {
  if ((await store.statusById(scope, id)) === null) throw notFound('fabrication')
  return judgementById(scope, id)
}

const MAX_VERSIONS = 100

/** A record as it was before each change, newest first. */
export async function versions(scope: Scope, id: string): Promise<RecordVersion[]> {
  if ((await store.statusById(scope, id)) === null) throw notFound('fabrication')
  return store.versionsOf(scope, id, MAX_VERSIONS)
}

/** What was weighed hangs on piles, so an edit keeps every one, in any order; it may add others. */
function refuseMissingPiles(before: readonly PlannedPile[], after: readonly PlannedPile[]): void {
  const ids = new Set(before.map((pile) => pile.id))
  for (const pile of after) ids.delete(pile.id)
  if (ids.size > 0)
    throw new Refusal('invalid-input', 'A pile is missing.', {
      issues: [{ path: 'piles', message: 'must hold every pile of this fabrication' }],
    })
}
