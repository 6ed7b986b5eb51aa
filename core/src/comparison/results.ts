import { z } from 'zod'
import { CREDIT_POLICIES } from '../fabrication/index.ts'

const maybe = z.number().nullable()

export const verdict = z.enum(['make', 'buy', 'even'])
export type Verdict = z.infer<typeof verdict>

const policyVerdict = z.object({ costPerPortion: maybe, saving: maybe, verdict: verdict.nullable() })
export type PolicyVerdict = z.infer<typeof policyVerdict>

/** Where making costs the same as buying, each with all else held; null where no finite value of zero or more does it. */
const breakEvenResult = z.object({
  apPricePerKg: maybe,
  /** In the offer's own unit. */
  offerAmount: maybe,
  portions: maybe,
  pileYield: maybe,
  labourMinutes: maybe,
  /** 1 is today's credit. */
  creditMultiple: maybe,
})
export type BreakEven = z.infer<typeof breakEvenResult>

export const comparison = z.object({
  offer: z.string(),
  pile: z.string(),
  /** What one plate really carries, as far as it asks for it, grams; null without portions. */
  plateWeight: maybe,
  pricePerPiece: z.number(),
  buyPerPortion: z.number(),
  /** Buying what our plate carries: this is what is compared. Null where that is unknown. */
  buyPerPortionSameWeight: maybe,
  costPerPortion: maybe,
  saving: maybe,
  savingShare: maybe,
  verdict: verdict.nullable(),
  byPolicy: z.record(z.enum(CREDIT_POLICIES), policyVerdict),
  breakEven: breakEvenResult,
})
export type Comparison = z.infer<typeof comparison>
