import type { Assumptions, FabricationRecord } from '@fleam/contract'
import { isSamePrice, type LabourEntry, type LabourSource, type PriceSource } from '@fleam/core'

/** Where labour that is tried out is from: the record's as long as it is the same, else somebody typed it. */
export const labourFromOf = (record: FabricationRecord, labour: readonly LabourEntry[]): LabourSource =>
  isSameLabour(labour, record.labour) ? record.labourFrom : 'typed'

/** Where a price that is tried out is from: the record's as long as it is the same, else somebody typed it. */
export const priceFromOf = (record: FabricationRecord, { purchase }: Pick<Assumptions, 'purchase'>): PriceSource =>
  isSamePrice(purchase.price, record.purchase.price) ? record.priceFrom : 'typed'

export const isSameLabour = (one: readonly LabourEntry[], other: readonly LabourEntry[]): boolean =>
  one.length === other.length &&
  one.every(
    ({ task, minutes, ratePerHour }, at) =>
      task === other[at]?.task && minutes === other[at].minutes && ratePerHour === other[at].ratePerHour,
  )
