import { MAX_PLATES, MEASURING_WAYS } from '@fleam/core/facts'
import { LAST_ORDER } from '@fleam/core/limits'
import { plateRequest } from '@fleam/core/plating'
import { biasAngle, portionProduct, positiveMm, stations } from '@fleam/core/portioning'
import { grams, id, positiveGrams } from '@fleam/core/values'
import { z } from 'zod'

/** Most cuts of one piece. */
const MAX_CUTS = 200

/** A piece laid on the board to be cut along its length, and what was cut off it. */
export const laidPiece = z.strictObject({
  weight: positiveGrams,
  length: positiveMm,
  /** Its stations where it was measured; without them the usual shape is filled to its weight. */
  profile: stations.readonly().optional(),
  /** How far off square the knife is held, degrees; square where it is not given. */
  biasAngle: biasAngle.optional(),
  way: z.enum(MEASURING_WAYS),
  /** Weighings up to this place in the order of the work belong to earlier pieces. */
  after: z.number().int().min(0).max(LAST_ORDER),
  /** What may be cut from it, where that was planned; else the piles of the fabrication. */
  products: z.array(portionProduct).min(1).max(20).readonly().optional(),
  cuts: z
    .array(z.strictObject({ readingId: id.nullable(), thickness: positiveMm, planned: grams }))
    .max(MAX_CUTS)
    .readonly(),
})
export type LaidPiece = z.infer<typeof laidPiece>

/** When a piece gets the number of its plate. */
const PLATE_NUMBERINGS = ['as-weighed', 'at-the-end'] as const

/** What a plate takes, and the numbers that were given when all were matched, by the id of the reading, from 0. */
export const numberedPlates = z.strictObject({
  plate: plateRequest,
  numbering: z.enum(PLATE_NUMBERINGS),
  numbers: z
    .record(id, z.number().int().min(0).max(MAX_PLATES))
    .refine((numbers) => Object.keys(numbers).length <= MAX_PLATES, `must not be more than ${MAX_PLATES}`),
})
export type NumberedPlates = z.infer<typeof numberedPlates>
