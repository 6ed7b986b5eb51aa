import { z } from 'zod'
import { PILE_CLASSES } from '../fabrication/index.ts'

/** What was spent, money. */
export const costInResult = z.object({
  ap: z.number(),
  labour: z.number(),
  consumables: z.number(),
  in: z.number(),
})
export type CostIn = z.infer<typeof costInResult>

const maybe = z.number().nullable()

/** A figure that does not apply to a pile is null. */
export const pileResult = z.object({
  name: z.string(),
  class: z.enum(PILE_CLASSES),
  weight: z.number(),
  share: z.number(),
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
})
export type PileResult = z.infer<typeof pileResult>
