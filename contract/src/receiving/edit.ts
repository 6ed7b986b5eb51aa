import type { Lot, LotEdit } from './schemas.ts'

/** What may be sent of a lot: its names are for reading. */
export function lotEditOf({ item: _item, supplier: _supplier, standingBy: _by, ...lot }: Lot): LotEdit {
  return lot
}
