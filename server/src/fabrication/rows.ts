import type { FabricationRecord } from '@fleam/contract/fabrication'
import type { PlannedOffer } from '@fleam/core/fabrication'
import type { Attributes, CreationAttributes } from 'sequelize'
import type { FabricationModel } from '../database/index.ts'
import { offerOfRow, present, rowOfOffer } from '../offer/index.ts'
import type { RecordParts } from './parts.ts'

/** A record from its row and those of its parts; steps and choices where the board was asked for. */
export function recordOfRow(
  row: FabricationModel,
  { piles, labour, consumables, offers }: RecordParts,
): FabricationRecord {
  return {
    id: row.id,
    version: row.version,
    status: row.status,
    itemId: row.itemId,
    styleId: row.styleId,
    supplierId: row.supplierId,
    cookId: row.cookId,
    lotId: row.lotId,
    item: row.itemRow?.name ?? row.item,
    style: row.styleRow?.name ?? row.style,
    supplier: row.supplierRow?.name ?? row.supplier,
    cook: row.cookRow?.name ?? row.cook,
    species: row.species,
    units: row.units,
    rhythm: row.rhythm,
    drawing: row.drawing,
    shape: row.itemRow?.shape ?? null,
    steps: row.board?.steps ?? [],
    choices: row.board?.choices ?? [],
    causes: row.causes.map((cause) => ({ ...cause, isLasting: cause.isLasting ?? false })),
    currency: row.currency,
    purchase: {
      price: { amount: row.priceAmount, per: row.pricePer },
      invoiceWeight: row.invoiceWeight,
      ...present({
        receivedWeight: row.receivedWeight,
        purge: row.purgeWeight,
        pieces: row.pieces,
        cases: row.cases,
        extras: row.extras,
      }),
    },
    labour: labour.map(({ task, minutes, ratePerHour }) => ({ task, minutes, ratePerHour })),
    labourFrom: row.labourFrom,
    priceFrom: row.priceFrom,
    weightFrom: row.weightFrom,
    leftOut: row.leftOut,
    settled: row.settled,
    consumables: consumables.map(({ name, cost }) => ({ name, cost })),
    piles: piles.map(({ fabricationId: _fabrication, position: _position, ...planned }) => planned),
    offers: offers.map((offer): PlannedOffer => ({ ...offerOfRow(offer), ...present({ articleId: offer.articleId }) })),
    creditPolicy: row.creditPolicy,
    allocation: row.allocation,
    confirmed: Boolean(row.confirmed),
    date: row.date,
    lot: row.lot,
    notes: row.notes,
    startedAt: row.startedAt.toISOString(),
    closedAt: row.closedAt?.toISOString() ?? null,
    updatedAt: row.updatedAt.toISOString(),
  }
}

/** The columns of a record that an edit may change. */
export function editableColumns(record: FabricationRecord) {
  const { purchase } = record
  return {
    status: record.status,
    supplierId: record.supplierId,
    cookId: record.cookId,
    supplier: record.supplier,
    cook: record.cook,
    priceAmount: purchase.price.amount,
    pricePer: purchase.price.per,
    invoiceWeight: purchase.invoiceWeight,
    receivedWeight: purchase.receivedWeight ?? null,
    purgeWeight: purchase.purge ?? null,
    pieces: purchase.pieces ?? null,
    cases: purchase.cases ?? null,
    extras: purchase.extras ?? null,
    creditPolicy: record.creditPolicy,
    allocation: record.allocation,
    labourFrom: record.labourFrom,
    priceFrom: record.priceFrom,
    weightFrom: record.weightFrom,
    leftOut: record.leftOut,
    settled: record.settled,
    units: record.units,
    styleId: record.styleId,
    itemId: record.itemId,
    item: record.item,
    style: record.style,
    species: record.species,
    confirmed: record.confirmed,
    date: record.date,
    lot: record.lot,
    notes: record.notes,
    causes: record.causes,
    closedAt: record.closedAt === null ? null : new Date(record.closedAt),
    updatedAt: new Date(record.updatedAt),
  } satisfies Partial<Attributes<FabricationModel>>
}

export const rowOfRecord = (kitchenId: string, record: FabricationRecord): CreationAttributes<FabricationModel> => ({
  id: record.id,
  kitchenId,
  version: record.version,
  lotId: record.lotId,
  rhythm: record.rhythm,
  drawing: record.drawing,
  currency: record.currency,
  startedAt: new Date(record.startedAt),
  ...editableColumns(record),
})

/** The rows of piles of a record, in their order. */
export const rowsOfPiles = (kitchenId: string, record: FabricationRecord) =>
  record.piles.map((pile, position) => ({
    ...pile,
    stylePileId: pile.stylePileId ?? null,
    kind: pile.kind ?? null,
    cookingLoss: pile.cookingLoss ?? null,
    portionsPerPiece: pile.portionsPerPiece ?? null,
    kitchenId,
    fabricationId: record.id,
    position,
  }))

/** Rows of labour, consumables and offers, which an edit replaces as a whole. */
export function rowsOfLists(kitchenId: string, record: FabricationRecord) {
  const key = (position: number) => ({ fabricationId: record.id, position, kitchenId })
  return {
    labour: record.labour.map((entry, at) => ({ ...key(at), ...entry })),
    consumables: record.consumables.map((each, at) => ({ ...key(at), ...each })),
    offers: record.offers.map((offer, at) => ({
      ...key(at),
      ...rowOfOffer(offer),
      articleId: offer.articleId ?? null,
    })),
  }
}
