import type { FabricationRecord, FabricationState } from '@fleam/contract'
import type { FabricationDocument, Pile, PlannedPile } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import { v7 as newId } from 'uuid'
import { requireKitchen } from '../kitchen/service.ts'
import { insertOnce } from './insert-once.ts'
import { requireState } from './service.ts'

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
    lotId: null,
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
