import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { Assumptions } from '@fleam/contract/what-if/schemas'
import { isSamePrice } from '@fleam/core/buying'
import type { LabourEntry, LabourSource, PriceSource } from '@fleam/core/fabrication'

/** Where labour that is tried out is from: the record's as long as it is the same, else somebody typed it. */
export const labourFromOf = (record: FabricationRecord, labour: readonly LabourEntry[]): LabourSource =>
  isSameLabour(labour, record.labour) ? record.labourFrom : 'typed'

/** Where a price that is tried out is from: the record's as long as it is the same, else somebody typed it. */
export const priceFromOf = (record: FabricationRecord, { purchase }: Pick<Assumptions, 'purchase'>): PriceSource =>
  isSamePrice(purchase.price, record.purchase.price) ? record.priceFrom : 'typed'

export const isSameLabour = (one: readonly LabourEntry[], other: readonly LabourEntry[]): boolean =>
  one.length === other.length &&
  one.every(
    ({ task, minutes, ratePerHour }, index) =>
      task === other[index]?.task && minutes === other[index].minutes && ratePerHour === other[index].ratePerHour,
  )
