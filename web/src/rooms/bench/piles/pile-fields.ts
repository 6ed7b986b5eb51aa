import { PILE_CLASSES, type PlannedPile } from '@fleam/core/fabrication'
import { z } from 'zod'

const maybe = z.number({ error: 'Check this, or leave it empty.' }).nullable()

/** What can be said of a pile in the middle of the work. */
export const pileFields = z
  .object({
    name: z.string().trim().min(1, 'A pile needs a name.').max(120, 'At most 120 letters.'),
    class: z.enum(PILE_CLASSES),
    weighing: z.enum(['pieces', 'whole']),
    target: maybe,
    low: maybe,
    high: maybe,
    valuePerKg: maybe,
    usedPercent: z.number({ error: 'A share from 0 to 100.' }).min(0).max(100).nullable(),
    portionsPerPiece: z
      .number({ error: 'From 0.1 to 20.' })
      .min(0.1, 'From 0.1 to 20.')
      .max(20, 'From 0.1 to 20.')
      .nullable(),
  })
  .refine(({ low, target, high }) => (low ?? 0) <= (target ?? low ?? 0) && (target ?? 0) <= (high ?? target ?? 0), {
    path: ['target'],
    error: 'The target lies between the lightest and the heaviest.',
  })
export type PileFields = z.infer<typeof pileFields>

const PERCENT = 100

export const fieldsOf = (pile: PlannedPile): PileFields => ({
  name: pile.name,
  class: pile.class,
  weighing: pile.weighing,
  target: pile.target,
  low: pile.low,
  high: pile.high,
  valuePerKg: pile.valuePerKg,
  usedPercent: pile.usedShare === null ? null : pile.usedShare * PERCENT,
  portionsPerPiece: pile.portionsPerPiece ?? null,
})

/** A pile with what was said of it; the rest of it stays. */
export const withFields = (pile: PlannedPile, { usedPercent, ...fields }: PileFields): PlannedPile => ({
  ...pile,
  ...fields,
  usedShare: usedPercent === null ? null : usedPercent / PERCENT,
})
