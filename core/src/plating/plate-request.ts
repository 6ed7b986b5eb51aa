import { z } from 'zod'
import { type FixedLists, grams, name, positiveCount, positiveGrams } from '../values/index.ts'

const MAX_PIECES = 600
const MAX_ON_PLATE = 12

/** What one plate takes: its weight, and the kinds and counts of its pieces. */
export const plateRequest = z.strictObject({
  low: grams,
  target: positiveGrams,
  high: positiveGrams,
  needs: z
    .array(z.strictObject({ kind: name, count: positiveCount.max(MAX_ON_PLATE) }))
    .min(1)
    .max(MAX_ON_PLATE)
    .readonly(),
})
export type PlateRequest = z.infer<typeof plateRequest>

/** A piece that was weighed, grams. */
const platePiece = z.strictObject({ id: name, weight: positiveGrams, kind: name })
export type PlatePiece = z.infer<typeof platePiece>

/** Pieces that were weighed, and what one plate takes of them. */
export const platingRequest = z
  .strictObject({
    pieces: z.array(platePiece).max(MAX_PIECES),
    plate: plateRequest,
  })
  .superRefine(({ pieces, plate }, context) => {
    const ids = new Set<string>()
    pieces.forEach(({ id }, index) => {
      if (ids.has(id)) context.addIssue({ code: 'custom', path: ['pieces', index, 'id'], message: 'is there twice' })
      ids.add(id)
    })
    if (plate.low > plate.high) {
      context.addIssue({ code: 'custom', path: ['plate', 'low'], message: 'must not be above high' })
    }
    const kinds = plate.needs.map((need) => need.kind)
    kinds.forEach((kind, index) => {
      if (kinds.indexOf(kind) < index) {
        context.addIssue({ code: 'custom', path: ['plate', 'needs', index, 'kind'], message: 'is there twice' })
      }
    })
  })
  .meta({ id: 'PlatingRequest' })

export type PlatingRequest = FixedLists<z.infer<typeof platingRequest>>

const plate = z.object({ ids: z.array(z.string()), weight: z.number() })
export type Plate = z.infer<typeof plate>

export const plating = z
  .object({
    plates: z.array(plate),
    /** Ids of the pieces that are on no plate. */
    left: z.array(z.string()),
    /** Mean weight of the plates; null where there are none. */
    mean: z.number().nullable(),
    /** Heaviest less lightest. */
    spread: z.number().nullable(),
    /** Heaviest ÷ lightest: 1 is perfectly fair. */
    fairness: z.number().nullable(),
    /** How far the answer may be from the best there is, as a share; 0 where it is proven. */
    gap: z.number(),
  })
  .meta({ id: 'Plating' })
export type Plating = z.infer<typeof plating>
