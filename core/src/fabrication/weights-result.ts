import { z } from 'zod'
import { BALANCES } from './kinds.ts'

/** Where the weight went: grams, and shares of what was invoiced. */
export const weightsResult = z.object({
  ap: z.number(),
  received: z.number(),
  short: z.number(),
  purge: z.number(),
  out: z.number(),
  unaccounted: z.number(),
  balance: z.enum(BALANCES),
  portionYield: z.number(),
  utilisation: z.number(),
  drainedYield: z.number(),
})
export type WeightsResult = z.infer<typeof weightsResult>
