import { type Appraisal, WARNING_CODES } from '@fleam/core/appraisal'
import { ALLOCATIONS, CREDIT_POLICIES, PILE_CLASSES } from '@fleam/core/fabrication'
import { z } from 'zod'

const figure = z.number()
const maybe = z.number().nullable()
const verdict = z.enum(['make', 'buy', 'even']).nullable()
const policyVerdict = z.object({ costPerPortion: maybe, saving: maybe, verdict })

/** What the core says of a document. A figure that does not apply is null. */
export const appraisal = z
  .object({
    weights: z.object({
      ap: figure,
      received: figure,
      short: figure,
      purge: figure,
      out: figure,
      unaccounted: figure,
      balance: z.enum(['ok', 'over', 'lost']),
      portionYield: figure,
      utilisation: figure,
      drainedYield: figure,
    }),
    cost: z.object({
      ap: figure,
      apPricePerKg: figure,
      shortClaim: figure,
      labour: figure,
      consumables: figure,
      in: figure,
      credit: figure,
      net: figure,
      allocation: z.enum(ALLOCATIONS),
    }),
    piles: z.array(
      z.object({
        name: z.string(),
        class: z.enum(PILE_CLASSES),
        weight: figure,
        share: figure,
        credit: maybe,
        cost: maybe,
        costPerKg: maybe,
        portions: maybe,
        costPerPortion: maybe,
        below: maybe,
        within: maybe,
        above: maybe,
        mean: maybe,
        sd: maybe,
        overweight: maybe,
        givenAway: maybe,
        factorPerKg: maybe,
        factorPerPortion: maybe,
      }),
    ),
    comparisons: z.array(
      z.object({
        offer: z.string(),
        pile: z.string(),
        plateWeight: maybe,
        pricePerPiece: figure,
        buyPerPortion: figure,
        buyPerPortionSameWeight: maybe,
        costPerPortion: maybe,
        saving: maybe,
        savingShare: maybe,
        verdict,
        byPolicy: z.record(z.enum(CREDIT_POLICIES), policyVerdict),
        breakEven: z.object({
          apPricePerKg: maybe,
          offerAmount: maybe,
          portions: maybe,
          pileYield: maybe,
          labourMinutes: maybe,
          creditMultiple: maybe,
        }),
      }),
    ),
    warnings: z.array(z.object({ code: z.enum(WARNING_CODES), message: z.string() })),
  })
  .meta({ id: 'Appraisal' }) satisfies z.ZodType<Appraisal>
