import type { Plating, PlatingRequest } from '@fleam/core/plating'
import { grams, name, positiveCount, positiveGrams } from '@fleam/core/values'
import { z } from 'zod'

const MAX_PIECES = 600
const MAX_ON_PLATE = 12

const needs = z
  .array(z.strictObject({ kind: name, count: positiveCount.max(MAX_ON_PLATE) }))
  .min(1)
  .max(MAX_ON_PLATE)
  .readonly()

/** What one plate takes. */
export const plateRequest = z.strictObject({ low: grams, target: positiveGrams, high: positiveGrams, needs })

/** Pieces that were weighed, and what one plate takes of them. */
export const platingRequest = z
  .strictObject({
    pieces: z.array(z.strictObject({ id: name, weight: positiveGrams, kind: name })).max(MAX_PIECES),
    plate: plateRequest,
  })
  .superRefine(({ pieces, plate }, context) => {
    const ids = new Set<string>()
    pieces.forEach(({ id }, at) => {
      if (ids.has(id)) context.addIssue({ code: 'custom', path: ['pieces', at, 'id'], message: 'is there twice' })
      ids.add(id)
    })
    if (plate.low > plate.high) {
      context.addIssue({ code: 'custom', path: ['plate', 'low'], message: 'must not be above high' })
    }
    const kinds = plate.needs.map((need) => need.kind)
    kinds.forEach((kind, at) => {
      if (kinds.indexOf(kind) < at) {
        context.addIssue({ code: 'custom', path: ['plate', 'needs', at, 'kind'], message: 'is there twice' })
      }
    })
  })
  .meta({ id: 'PlatingRequest' }) satisfies z.ZodType<PlatingRequest>

export const plating = z
  .object({
    plates: z.array(z.object({ ids: z.array(z.string()), weight: z.number() })),
    left: z.array(z.string()),
    mean: z.number().nullable(),
    spread: z.number().nullable(),
    fairness: z.number().nullable(),
    gap: z.number(),
  })
  .meta({ id: 'Plating' }) satisfies z.ZodType<Plating>
