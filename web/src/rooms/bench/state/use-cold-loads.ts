import { type ColdLimits, type ColdLoads, labourClocks } from '@fleam/core/fabrication'
import { givenSteps } from '@fleam/core/weighing'
import { useKitchenCautions } from '../../../parts/cautions.ts'
import { coldBatch } from '../../../parts/cold-batch.ts'
import type { LiveFabrication } from './use-live-fabrication.ts'

export interface ColdState extends ColdLoads {
  limits: ColdLimits
  /** Units to take out next: as many as one cook cuts within the limit, or a whole line of them together. */
  nextUnits: number
  /** Minutes of one cook for the whole batch. */
  minutes: number
  /** Cooks whose clocks run, at least one. */
  cooks: number
}

/** Every load of the batch with its clock, and how much to take out next. */
export function useColdLoads({ record, marks, nowMs }: LiveFabrication): ColdState {
  const { coldLimits: limits } = useKitchenCautions(record)
  const cooks = Math.max(1, labourClocks(marks, nowMs).filter(({ isRunning }) => isRunning).length)
  // Each takes out their own birds; of a line all are at the same ones.
  const inLine = Math.max(1, new Set(givenSteps(marks).values()).size)
  const { perLoad, ...cold } = coldBatch({ ...record, marks }, limits, nowMs)
  return { ...cold, limits, nextUnits: Math.min(cold.waiting, perLoad(cold.waiting, inLine)), cooks }
}
