import type { Judgement } from '@fleam/core/appraisal'
import { count } from '@fleam/core/values'
import { z } from 'zod'

/** What a record was judged at when it was closed, and by which formulas; null for one that is open. */
export const keptJudgement = z
  .object({
    /** Of `FORMULA_CHANGES`. */
    formulas: count,
    /** The answer was kept; of records from before that only the formulas are known. */
    isKept: z.boolean(),
    verdict: z.enum(['make', 'buy', 'even']).nullable(),
    costPerPortion: z.number().nullable(),
    savingPerPortion: z.number().nullable(),
  })
  .nullable()
  .meta({ id: 'KeptJudgement' })
export type KeptJudgement = { formulas: number; isKept: boolean } & Judgement
