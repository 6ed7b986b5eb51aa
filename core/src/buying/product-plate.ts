import { z } from 'zod'
import { positiveGrams } from '../values/index.ts'

/** What a kitchen serves as one plate of a product: so many pieces, or so much meat without bone, raw grams. */
export const productPlate = z
  .discriminatedUnion('by', [
    z.strictObject({ by: z.literal('pieces'), count: z.number().min(0.1).max(100) }),
    z.strictObject({ by: z.literal('edible'), grams: positiveGrams.max(5_000) }),
  ])
  .meta({ id: 'ProductPlate' })
export type ProductPlate = z.infer<typeof productPlate>
