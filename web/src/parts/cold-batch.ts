import { type ColdLimits, type ColdLoads, coldLoads, type LabourEntry } from '@fleam/core/fabrication'
import type { Mark } from '@fleam/core/facts'
import { batchLoads } from '@fleam/core/weighing'

export interface ColdWork {
  units: number
  startedAt: string
  labour: readonly LabourEntry[]
  marks: readonly Mark[]
}

export interface ColdBatchState extends ColdLoads {
  /** Minutes of one cook for the whole batch. */
  minutes: number
  /** Units to take out at once when so many cooks are at work. */
  perLoad: (units: number, cooks: number) => number
}

/** Every load of a batch with its clock: the same at the bench, on Today and on the wall. */
export function coldBatch(
  { units, startedAt, labour, marks }: ColdWork,
  limits: ColdLimits,
  nowMs: number,
): ColdBatchState {
  const minutes = labour.reduce((sum, entry) => sum + entry.minutes, 0)
  const { boardMinutes } = limits
  const perLoad = (of: number, cooks: number) =>
    batchLoads({ units: Math.max(1, of), minutesPerUnit: minutes / units, cooks, boardMinutes }).perLoad
  return { ...coldLoads(marks, { units, firstUnits: perLoad(units, 1), startedAt, nowMs, limits }), minutes, perLoad }
}
