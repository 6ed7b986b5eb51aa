import { id, instant, name } from '@fleam/core/values'
import { z } from 'zod'
import { assumptionFields, plannedPileIssues } from '../fabrication/schemas.ts'

/** Everything a verdict rests on that is not a weighing. */
export const assumptions = z.strictObject(assumptionFields).superRefine(plannedPileIssues)
export type Assumptions = z.infer<typeof assumptions>

/** Assumptions that were only tried out, under a name: the record does not know of them. */
export const whatIf = z
  .strictObject({ id, name, assumptions, createdAt: instant })
  .meta({ id: 'WhatIf', description: 'Other assumptions for a record, kept beside it.' })
export type WhatIf = z.infer<typeof whatIf>

export const whatIfs = z.array(whatIf)
