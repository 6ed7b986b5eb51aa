import { fact as anyFact, MAX_PLATES, MEASURING_WAYS } from '@fleam/core/facts'
import { LAST_ORDER } from '@fleam/core/limits'
import { plateRequest } from '@fleam/core/plating'
import { biasAngle, portionProduct, positiveMm, stations } from '@fleam/core/portioning'
import { grams, id, positiveGrams } from '@fleam/core/values'
import { z } from 'zod'
import { PROBLEMS, type ProblemCode } from './problem.ts'

/** Most cuts of one piece. */
const MAX_CUTS = 200

/** A piece laid on the board to be cut along its length, and what was cut off it. */
const laidPiece = z.strictObject({
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
const numberedPlates = z.strictObject({
  plate: plateRequest,
  numbering: z.enum(PLATE_NUMBERINGS),
  numbers: z
    .record(id, z.number().int().min(0).max(MAX_PLATES))
    .refine((numbers) => Object.keys(numbers).length <= MAX_PLATES, `must not be more than ${MAX_PLATES}`),
})
export type NumberedPlates = z.infer<typeof numberedPlates>

const BOARD_STATES = { 'next-cut': laidPiece.nullable(), plates: numberedPlates.nullable() } as const

/**
 * What happens at a bench, as it is made on the device, kept in its outbox, sent, stored, told to the other
 * devices and merged: one form for all of them. Sending one twice changes nothing.
 */
export const fact = anyFact
  .superRefine((sent, context) => {
    if (sent.kind !== 'board') return
    for (const issue of BOARD_STATES[sent.part].safeParse(sent.state).error?.issues ?? []) {
      context.addIssue({ code: 'custom', path: ['state', ...issue.path], message: issue.message })
    }
  })
  .meta({ id: 'Fact' })

const MAX_SENT = 500

/** Something in a list that is no fact: it is refused by itself, and does not keep the others from being stored. */
const notAFact = z
  .unknown()
  .transform((sent) => ({ kind: 'not-a-fact' as const, sent }))
  .meta({ not: {} })
export type NotAFact = z.infer<typeof notAFact>

/** What a device sends, in the order in which it was done; each is kept, known already, or refused by itself. */
export const factsSent = z
  .strictObject({
    facts: z
      .array(z.union([fact, notAFact]))
      .min(1)
      .max(MAX_SENT),
  })
  .meta({ id: 'FactsSent' })

/** A fact that will never be kept as it was sent: its place in the list, and why. */
const factRefused = z.object({
  at: z.number(),
  code: z.enum(Object.keys(PROBLEMS) as [ProblemCode, ...ProblemCode[]]),
  detail: z.string(),
  issues: z.array(z.object({ path: z.string(), message: z.string() })).min(1),
})
export type FactRefused = z.infer<typeof factRefused>

/** The ids that are stored now, after the commit, and what was refused. */
export const factsKept = z.object({ kept: z.array(id), refused: z.array(factRefused) }).meta({ id: 'FactsKept' })
export type FactsKept = z.infer<typeof factsKept>
