import { z } from 'zod'
import { comparison } from '../comparison/index.ts'
import { costInResult, pileResult } from '../costing/index.ts'
import { ALLOCATIONS, weightsResult } from '../fabrication/index.ts'
import { WARNING_CODES } from './warning-codes.ts'

const costResult = costInResult.extend({
  apPricePerKg: z.number(),
  shortClaim: z.number(),
  credit: z.number(),
  net: z.number(),
  /** The rule really used, see `allocate`. */
  allocation: z.enum(ALLOCATIONS),
})

const warning = z.object({ code: z.enum(WARNING_CODES), message: z.string() })
export type Warning = z.infer<typeof warning>

/** What a document says, unrounded. A figure that does not apply is null. */
export const appraisal = z
  .object({
    weights: weightsResult,
    cost: costResult,
    piles: z.array(pileResult),
    comparisons: z.array(comparison),
    warnings: z.array(warning),
  })
  .meta({ id: 'Appraisal' })
export type Appraisal = z.infer<typeof appraisal>
