import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import {
  type FabricationModel,
  fabricationBoardTable,
  fabricationConsumableTable,
  fabricationLabourTable,
  fabricationOfferTable,
  fabricationPileTable,
  fabricationTable,
} from '../database/index.ts'
import type { RecordParts } from './parts.ts'

/** A record from its row and those of its parts; steps and choices where the board was asked for. */
export function recordOfRow(row: FabricationModel, parts: RecordParts): FabricationRecord {
  const { price, invoiceWeight, receivedWeight, purge, pieces, cases, extras, ...record } =
    fabricationTable.fromRow(row)
  const purchase = { price, invoiceWeight, receivedWeight, purge, pieces, cases, extras }
  return {
    ...record,
    item: row.itemRow?.name ?? record.item,
    style: row.styleRow?.name ?? record.style,
    supplier: row.supplierRow?.name ?? record.supplier,
    cook: row.cookRow?.name ?? record.cook,
    shape: row.itemRow?.shape ?? null,
    ...(row.board ? fabricationBoardTable.fromRow(row.board) : { steps: [], choices: [] }),
    causes: record.causes.map((cause) => ({ ...cause, isLasting: cause.isLasting ?? false })),
    purchase: Object.fromEntries(
      Object.entries(purchase).filter(([, value]) => value !== undefined),
    ) as typeof purchase,
    piles: parts.piles.map(fabricationPileTable.fromRow),
    labour: parts.labour.map(fabricationLabourTable.fromRow),
    consumables: parts.consumables.map(fabricationConsumableTable.fromRow),
    offers: parts.offers.map(fabricationOfferTable.fromRow),
  }
}

/** The row of a record, without its piles. */
export const rowOfRecord = (kitchenId: string, record: FabricationRecord) => ({
  ...fabricationTable.toRow({ ...record, ...record.purchase }),
  kitchenId,
})

/** The rows of piles of a record, in their order. */
export const rowsOfPiles = (kitchenId: string, record: FabricationRecord) =>
  record.piles.map((pile, position) => ({
    ...fabricationPileTable.toRow({ ...pile, fabricationId: record.id, position }),
    kitchenId,
  }))

/** Rows of labour, consumables and offers, which an edit replaces as a whole. */
export function rowsOfLists(kitchenId: string, record: FabricationRecord) {
  const key = (position: number) => ({ fabricationId: record.id, position, kitchenId })
  return {
    labour: record.labour.map((entry, position) => ({ ...entry, ...key(position) })),
    consumables: record.consumables.map((consumable, position) => ({ ...consumable, ...key(position) })),
    offers: record.offers.map((offer, position) => ({
      ...fabricationOfferTable.toRow({ ...offer, ...key(position) }),
      kitchenId,
    })),
  }
}
