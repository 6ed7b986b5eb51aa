import type {
  FabricationEdit,
  FabricationRecord,
  FabricationRow,
  FabricationState,
  FabricationStep,
  FabricationWish,
} from '@fleam/contract'
import {
  documentOf,
  type FabricationDocument,
  type Pile,
  type PlannedPile,
  type SettledStyle,
  settleStyle,
} from '@fleam/core'
import type { Sequelize } from 'sequelize'
import { v7 as newId } from 'uuid'
import { databaseCode } from '../database/connection.ts'
import { insertRows } from '../database/rows.ts'
import { notFound, Refusal } from '../http/problems.ts'
import { requireKitchen } from '../kitchen/service.ts'
import { cooks, offers } from '../kitchen/store.ts'
import { type KnownStyle, requireStyle } from '../style/service.ts'
import { readingRow } from './rows.ts'
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

/** What the style says of its piles' worth; where it says nothing, what was said last time. */
function worthOf(pile: KnownPile, last: FabricationRecord | undefined) {
  const before = last?.piles.find((each) => each.name === pile.name && each.class === pile.class)
  return {
    valuePerKg: pile.valuePerKg ?? before?.valuePerKg ?? null,
    usedShare: pile.usedShare ?? before?.usedShare ?? null,
    processingPerKg: pile.processingPerKg ?? before?.processingPerKg ?? null,
  }
}

type KnownPile = KnownStyle['style']['piles'][number]

function plannedPiles(
  { piles }: SettledStyle<KnownPile>,
  units: number,
  last: FabricationRecord | undefined,
): PlannedPile[] {
  return piles.map((pile) => ({
    id: newId(),
    name: pile.name,
    class: pile.class,
    weighing: pile.weighing,
    expectedShare: pile.expectedShare,
    portions:
      pile.class === 'primary' && pile.portionsPerUnit !== null ? Math.round(pile.portionsPerUnit * units) : null,
    target: pile.bounds?.target ?? null,
    low: pile.bounds?.low ?? null,
    high: pile.bounds?.high ?? null,
    ...worthOf(pile, last),
  }))
}

/** Steps as they stand at the board, with the regions that light up while their piles leave it. */
function boardSteps({ steps, piles }: SettledStyle<KnownPile>): FabricationStep[] {
  const regionOf = (name: string) => piles.find((pile) => pile.name === name)?.region ?? null
  return steps.map(({ when: _when, ...step }) => ({
    ...step,
    piles: [...step.piles],
    mistakes: [...step.mistakes],
    cautions: [...step.cautions],
    regions: [...new Set(step.piles.flatMap((name) => regionOf(name) ?? []))],
  }))
}

/** Consumables of the style for so many units; what the kitchen has not priced costs what it cost last time. */
function consumablesOf({ style }: KnownStyle, units: number, last: FabricationRecord | undefined) {
  const lastUnits = last?.units ?? 1
  return style.consumables.map(({ name, costPerUnit }) => {
    const before = last?.consumables.find((each) => each.name === name)?.cost ?? 0
    return { name, cost: (costPerUnit ?? before / lastUnits) * units }
  })
}

/**
 * Starts a fabrication of one of the kitchen's styles. Piles, labour and offers are copied into the
 * record, so that later changes to them leave it as it was; what the kitchen has not settled is as last time. Sent twice with the same id, it is started once.
 */
export async function start(database: Sequelize, kitchenId: string, wish: FabricationWish): Promise<FabricationState> {
  const kitchen = await requireKitchen(database, kitchenId)
  const known = await requireStyle(database, kitchenId, wish.styleId)
  const cook = wish.cookId === null ? null : (await cooks(database, kitchenId)).find((each) => each.id === wish.cookId)
  if (cook === undefined)
    throw new Refusal('not-found', 'This kitchen has no such cook.', {
      issues: [{ path: 'cookId', message: 'is not a cook here' }],
    })
  const last = (await store.latestOfStyle(database, kitchenId, known.item.name, known.style.name))?.record
  const settled = settleStyle(known.style, wish.chosen)
  const ownOffers = (await offers(database, kitchenId)).filter((each) => each.styleId === known.style.id)
  const record: FabricationRecord = {
    id: wish.id,
    version: 1,
    status: 'open',
    item: known.item.name,
    style: known.style.name,
    species: known.item.species,
    styleId: known.style.id,
    units: wish.units,
    rhythm: wish.rhythm,
    drawing: known.item.drawing,
    steps: boardSteps(settled),
    choices: [...settled.choices],
    causes: [],
    currency: kitchen.currency,
    purchase: wish.purchase,
    labour: [
      {
        task: 'break down',
        minutes: settled.minutesPerUnit * wish.units,
        ratePerHour: cook?.wagePerHour ?? kitchen.wagePerHour,
      },
    ],
    consumables: consumablesOf(known, wish.units, last),
    piles: plannedPiles(settled, wish.units, last),
    offers: ownOffers.length > 0 ? ownOffers.map((each) => each.offer) : (last?.offers ?? []),
    creditPolicy: 'used',
    allocation: 'value',
    confirmed: false,
    date: wish.date,
    cook: cook?.name ?? null,
    supplier: wish.supplier,
    lot: wish.lot,
    notes: null,
    startedAt: wish.startedAt,
    closedAt: null,
    updatedAt: wish.startedAt,
  }
  await insertOnce(database, kitchenId, record, [])
  return requireState(database, kitchenId, record.id)
}

/** Inserts a record with its readings, all or nothing; an id that this kitchen has already is left as it is. */
async function insertOnce(
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

/** Keeps a document of elsewhere as a closed record: its weights become readings, so that it appraises the same. */
export async function importDocument(
  database: Sequelize,
  kitchenId: string,
  id: string,
  document: FabricationDocument,
  now: Date,
): Promise<FabricationState> {
  await requireKitchen(database, kitchenId)
  const date = document.meta?.date ?? now.toISOString().slice(0, 10)
  const takenAt = now.toISOString()
  const piles = document.piles.map(plannedFromPile)
  const record: FabricationRecord = {
    id,
    version: 1,
    status: 'closed',
    item: document.item,
    style: document.style,
    species: null,
    styleId: null,
    units: document.purchase.pieces ?? 1,
    rhythm: 'unit',
    drawing: null,
    steps: [],
    choices: [],
    causes: [],
    currency: document.currency,
    purchase: document.purchase,
    labour: [...(document.labour ?? [])],
    consumables: [...(document.consumables ?? [])],
    piles,
    offers: [...(document.offers ?? [])],
    creditPolicy: document.creditPolicy,
    allocation: document.allocation,
    confirmed: document.confirmed ?? false,
    date,
    cook: document.meta?.cook ?? null,
    supplier: document.meta?.supplier ?? null,
    lot: document.meta?.lot ?? null,
    notes: document.meta?.notes ?? null,
    startedAt: takenAt,
    closedAt: takenAt,
    updatedAt: takenAt,
  }
  const readings = document.piles.flatMap((pile, at) =>
    (pile.pieces ?? [pile.weight ?? 0])
      .filter((grams) => pile.pieces !== undefined || grams > 0)
      .map((grams) => ({
        id: newId(),
        pileId: (piles[at] as PlannedPile).id,
        grams,
        takenAt,
        source: 'imported' as const,
        cook: null,
      })),
  )
  await insertOnce(database, kitchenId, record, readings)
  return requireState(database, kitchenId, id)
}

function plannedFromPile(pile: Pile): PlannedPile {
  return {
    id: newId(),
    name: pile.name,
    class: pile.class,
    weighing: pile.pieces ? 'pieces' : 'whole',
    expectedShare: null,
    portions: pile.portions ?? null,
    target: pile.target ?? null,
    low: pile.low ?? null,
    high: pile.high ?? null,
    valuePerKg: pile.valuePerKg ?? null,
    usedShare: pile.usedShare ?? null,
    processingPerKg: pile.processingPerKg ?? null,
  }
}
