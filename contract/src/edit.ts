import type { FabricationEdit, FabricationRecord } from './fabrication.ts'
import type { Lot, LotEdit } from './receiving.ts'
import type { Assumptions } from './what-if.ts'

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

/** What may be sent of a lot: its names are for reading. */
export function lotEditOf({ item: _item, supplier: _supplier, standingBy: _by, ...lot }: Lot): LotEdit {
  return lot
}

/** What a record rests on that is not a weighing. */
export function assumptionsOf(record: FabricationRecord): Assumptions {
  const { purchase, labour, consumables, piles, offers, creditPolicy, allocation } = record
  return { purchase, labour, consumables, piles, offers, creditPolicy, allocation }
}
