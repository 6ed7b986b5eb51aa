import type { Lot, LotCase, LotCheck } from '@fleam/contract'
import { number, numberOrNull, type Row, type SqlParameters, text, textOrNull } from '../database/rows.ts'

export const caseFromRow = (row: Row): LotCase => ({
  id: text(row.id),
  label: textOrNull(row.label),
  serial: textOrNull(row.serial),
  invoiceWeight: number(row.invoice_weight),
  weighed: numberOrNull(row.weighed),
})

export const checkFromRow = (row: Row): LotCheck => ({
  checkId: text(row.check_id),
  isFault: Boolean(row.is_fault),
  value: numberOrNull(row.value),
  note: textOrNull(row.note),
})

export const lotFromRows = (row: Row, cases: readonly Row[], checks: readonly Row[]): Lot => ({
  id: text(row.id),
  version: number(row.version),
  item: text(row.item),
  supplier: text(row.supplier),
  code: textOrNull(row.code),
  gtin: textOrNull(row.gtin),
  price: { amount: number(row.price_amount), per: row.price_per as Lot['price']['per'] },
  extras: numberOrNull(row.extras),
  pieces: numberOrNull(row.pieces),
  receivedOn: text(row.received_on),
  productionDate: textOrNull(row.production_date),
  useBy: textOrNull(row.use_by),
  openedOn: textOrNull(row.opened_on),
  isFinished: Boolean(row.is_finished),
  notes: textOrNull(row.notes),
  cases: cases.map(caseFromRow),
  checks: checks.map(checkFromRow),
})

export const lotColumns = (lot: Lot): SqlParameters => ({
  version: lot.version,
  item: lot.item,
  supplier: lot.supplier,
  code: lot.code,
  gtin: lot.gtin,
  price_amount: lot.price.amount,
  price_per: lot.price.per,
  extras: lot.extras,
  pieces: lot.pieces,
  received_on: lot.receivedOn,
  production_date: lot.productionDate,
  use_by: lot.useBy,
  opened_on: lot.openedOn,
  is_finished: lot.isFinished,
  notes: lot.notes,
})

/** Rows of a lot's cases and checks, which an edit replaces as a whole. */
export function lotListRows(kitchenId: string, lot: Lot): Record<string, SqlParameters[]> {
  const key = { kitchen_id: kitchenId, lot_id: lot.id }
  return {
    lot_cases: lot.cases.map((each, position) => ({
      id: each.id,
      ...key,
      position,
      label: each.label,
      serial: each.serial,
      invoice_weight: each.invoiceWeight,
      weighed: each.weighed,
    })),
    lot_checks: lot.checks.map((each) => ({
      ...key,
      check_id: each.checkId,
      is_fault: each.isFault,
      value: each.value,
      note: each.note,
    })),
  }
}
