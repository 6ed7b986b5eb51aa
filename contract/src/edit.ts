import type { FabricationEdit, FabricationRecord } from './fabrication.ts'
import type { Assumptions } from './what-if.ts'

/** The editable part of a record with some of it changed, at the version it was read at. */
export function editOf(record: FabricationRecord, changes: Partial<FabricationEdit> = {}): FabricationEdit {
  const { id: _id, currency: _currency, item: _item, style: _style, species: _species, ...rest } = record
  const { startedAt: _startedAt, closedAt: _closedAt, updatedAt: _updatedAt, ...planned } = rest
  const { styleId: _styleId, lotId: _lotId, units: _units, rhythm: _rhythm, drawing: _drawing, ...board } = planned
  const { steps: _steps, choices: _choices, ...editable } = board
  return { ...editable, ...changes }
}

/** What a record rests on that is not a weighing. */
export function assumptionsOf(record: FabricationRecord): Assumptions {
  const { purchase, labour, consumables, piles, offers, creditPolicy, allocation } = record
  return { purchase, labour, consumables, piles, offers, creditPolicy, allocation }
}
