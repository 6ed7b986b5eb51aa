import { PRICE_UNITS } from '@fleam/core/fabrication'
import { MAX_UNITS } from '@fleam/core/limits'
import { RHYTHMS } from '@fleam/core/weighing'
import { z } from 'zod'

const weight = (missing: string) => z.number({ error: missing }).gt(0, missing)
const maybeNumber = z.number({ error: 'Check this number, or leave it empty.' }).nullable()

/** What is asked before weighing, as it is typed; `null` where nobody said it. */
export const startFields = z.object({
  styleId: z.string().min(1),
  chosen: z.record(z.string(), z.string()),
  rhythm: z.enum(RHYTHMS),
  units: z
    .number({ error: 'How many are on the board?' })
    .int('Whole ones only.')
    .min(1, 'At least one.')
    .max(MAX_UNITS),
  invoiceWeight: weight('What does the invoice say?'),
  receivedWeight: maybeNumber,
  purge: maybeNumber,
  /** Nobody has to know it: it is the price book's, or is told later. */
  amount: maybeNumber,
  per: z.enum(PRICE_UNITS),
  extras: maybeNumber,
  supplier: z.string().max(120),
  cookId: z.string(),
  /** Why a lot in quarantine is cut from. */
  lotReason: z.string().max(600, 'At most 600 letters.'),
  bounds: z.record(
    z.string(),
    z
      .object({ target: weight('What should one weigh?'), low: weight('At least?'), high: weight('At most?') })
      .refine(({ low, target, high }) => low <= target && target <= high, {
        path: ['target'],
        error: 'The target lies between the lightest and the heaviest.',
      }),
  ),
})
/** Of a lot in quarantine somebody named says why it is cut from. */
export const fromQuarantine = startFields.extend({
  lotReason: z.string().trim().min(1, 'Why is it cut from quarantine?').max(600, 'At most 600 letters.'),
  cookId: z.string().min(1, 'Who cuts it?'),
})

/** While it is typed anything may be missing. */
export type StartFields = Omit<z.infer<typeof startFields>, 'units' | 'invoiceWeight'> & {
  units: number | null
  invoiceWeight: number | null
}
