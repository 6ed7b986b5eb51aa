import { MEASURING_WAYS } from '@fleam/core'
import { z } from 'zod'
import { id, instant, positiveGrams } from './numbers.ts'

/** A portion that was planned and then weighed: it tells how far off a way of measuring is. */
export const measuredCut = z
  .strictObject({
    id,
    way: z.enum(MEASURING_WAYS),
    /** Id of the usual shape of the piece. */
    shape: z.string().min(1).max(60),
    planned: positiveGrams,
    weighed: positiveGrams,
    takenAt: instant,
  })
  .meta({ id: 'MeasuredCut' })
export type MeasuredCut = z.infer<typeof measuredCut>

export const measuredCuts = z.array(measuredCut)
