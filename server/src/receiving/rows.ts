import type { Lot, LotEdit } from '@fleam/contract'
import type { LotModel } from '../database/index.ts'

/** A lot from its row with its cases and checks, and the names of its item and supplier. */
export const lotOfRow = (row: LotModel): Lot => ({
  id: row.id,
  version: row.version,
  itemId: row.itemId,
  item: row.itemRow?.name ?? row.item,
  supplierId: row.supplierId,
  supplier: row.supplier?.name ?? '',
  code: row.code,
  gtin: row.gtin,
  price: { amount: row.priceAmount, per: row.pricePer },
  extras: row.extras,
  pieces: row.pieces,
  receivedOn: row.receivedOn,
  productionDate: row.productionDate,
  useBy: row.useBy,
  openedOn: row.openedOn,
  isFinished: Boolean(row.isFinished),
  notes: row.notes,
  cases: (row.cases ?? []).map(({ id, label, serial, invoiceWeight, weighed }) => ({
    id,
    label,
    serial,
    invoiceWeight,
    weighed,
  })),
  checks: (row.checks ?? []).map(({ checkId, isFault, value, note }) => ({
    checkId,
    isFault: Boolean(isFault),
    value,
    note,
  })),
})

/** Columns of a lot; `item` is the item's name as it is now. */
export const lotColumns = (lot: LotEdit, item: string) => ({
  version: lot.version,
  itemId: lot.itemId,
  item,
  supplierId: lot.supplierId,
  code: lot.code,
  gtin: lot.gtin,
  priceAmount: lot.price.amount,
  pricePer: lot.price.per,
  extras: lot.extras,
  pieces: lot.pieces,
  receivedOn: lot.receivedOn,
  productionDate: lot.productionDate,
  useBy: lot.useBy,
  openedOn: lot.openedOn,
  isFinished: lot.isFinished,
  notes: lot.notes,
})
