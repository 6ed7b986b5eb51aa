import type { FabricationEdit, FabricationRecord } from './schemas.ts'

/** The editable part of a record with some of it changed, at the version it was read at. */
export function editOf(record: FabricationRecord, changes: Partial<FabricationEdit> = {}): FabricationEdit {
  const { id: _id, currency: _currency, item: _item, style: _style, species: _species, ...rest } = record
  const { startedAt: _startedAt, closedAt: _closedAt, updatedAt: _updatedAt, ...planned } = rest
  const { lotId: _lotId, rhythm: _rhythm, drawing: _drawing, ...drawn } = planned
  const { shape: _shape, ...board } = drawn
  const { steps: _steps, choices: _choices, itemId: _itemId, cook: _cook, supplier: _supplier, ...editable } = board
  // Another weight than the estimated one is one that somebody read.
  const isRead = changes.purchase !== undefined && changes.purchase.invoiceWeight !== record.purchase.invoiceWeight
  return { ...editable, ...(isRead ? { weightFrom: 'invoice' as const } : {}), ...changes }
}
