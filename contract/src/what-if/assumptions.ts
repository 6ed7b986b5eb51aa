import type { FabricationRecord } from '../fabrication/schemas.ts'
import type { Assumptions } from './schemas.ts'

/** What a record rests on that is not a weighing. */
export function assumptionsOf(record: FabricationRecord): Assumptions {
  const { purchase, labour, consumables, piles, offers, creditPolicy, allocation } = record
  return { purchase, labour, consumables, piles, offers, creditPolicy, allocation }
}
