import { BOARD_PARTS, type Fact, MARK_KINDS, MEASURING_WAYS, READING_SOURCES } from '@fleam/core/facts'
import { HEAVIEST_GRAMS, LAST_ORDER } from '@fleam/core/limits'
import { wholeMilligrams } from '@fleam/core/units'
import { z } from 'zod'
import { grams, id, instant, money, positiveCount, positiveGrams } from './numbers.ts'
import { plateRequest } from './plating.ts'
import { biasAngle, portionProduct, positiveMm, stations } from './portioning.ts'
import { PROBLEMS, type ProblemCode } from './problem.ts'

/** A net weight in grams, above zero: brought to whole milligrams, so that it is the same number wherever it is kept. */
const weighed = z
  .number()
  .overwrite(wholeMilligrams)
  .gt(0)
  .max(HEAVIEST_GRAMS)
  .meta({ description: 'grams, whole milligrams' })

/** Pieces of one weighing. */
const MAX_PIECES = 10_000

const made = { id, order: z.number().int().min(1).max(LAST_ORDER), takenAt: instant }
const madeAtBench = { ...made, fabricationId: id }

/** One weighing. */
export const reading = z
  .strictObject({
    kind: z.literal('reading'),
    ...madeAtBench,
    pileId: id,
    grams: weighed,
    source: z.enum(READING_SOURCES),
    /** Who weighed it; null where nobody said. */
    cookId: id.nullable().default(null),
    /** How many pieces were weighed together; null where nobody said. */
    pieces: positiveCount.max(MAX_PIECES).nullable().default(null),
  })
  .meta({ id: 'Reading' })

/** Something that is taken back: a reading, a move, a mark, a measured cut. */
export const factVoid = z
  .strictObject({ kind: z.literal('void'), ...made, fabricationId: id.nullable(), factId: id })
  .meta({ id: 'FactVoid' })

/** A weighing that belongs to another pile; of several the last holds. */
export const readingMove = z
  .strictObject({ kind: z.literal('move'), ...madeAtBench, readingId: id, pileId: id })
  .meta({ id: 'ReadingMove' })

/** How many pieces a weighing is of, said after it; of several the last holds. */
export const pieceCount = z
  .strictObject({ kind: z.literal('count'), ...madeAtBench, readingId: id, pieces: positiveCount.max(MAX_PIECES) })
  .meta({ id: 'PieceCount' })

/** A clock started or paused, a load out of the cold or back in it, a step done or given to a cook. */
export const mark = z
  .strictObject({
    kind: z.literal('mark'),
    ...madeAtBench,
    mark: z.enum(MARK_KINDS),
    cookId: id.nullable().default(null),
    ratePerHour: money.nullable().default(null),
    step: z.string().max(60).nullable().default(null),
    /** Which load came out of the cold or went back, from 1; null for all that is on the board. */
    load: positiveCount.max(MAX_PIECES).nullable().default(null),
    /** Birds, fish, loins or racks that came out with it. */
    units: positiveCount.max(MAX_PIECES).nullable().default(null),
  })
  .meta({ id: 'Mark' })

/** Most cuts of one piece, and most plates of one batch. */
const MAX_CUTS = 200
const MAX_PLATES = 10_000

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

/** What lies on the board of each part; of several the last holds, null is nothing. */
const boardState = z
  .strictObject({ kind: z.literal('board'), ...madeAtBench, part: z.enum(BOARD_PARTS), state: z.unknown() })
  .superRefine(({ part, state }, context) => {
    for (const issue of BOARD_STATES[part].safeParse(state).error?.issues ?? []) {
      context.addIssue({ code: 'custom', path: ['state', ...issue.path], message: issue.message })
    }
  })
  .meta({ id: 'BoardState' })

/** The number of the plate that a piece was given as it was weighed, from 0. */
const plateNumber = z
  .strictObject({
    kind: z.literal('plate'),
    ...madeAtBench,
    readingId: id,
    number: z.number().int().min(0).max(MAX_PLATES),
  })
  .meta({ id: 'PlateNumber' })

/** A portion that was planned and then weighed: it tells how far off a way of measuring is. */
export const measuredCut = z
  .strictObject({
    kind: z.literal('measured-cut'),
    ...made,
    fabricationId: id.nullable().default(null),
    readingId: id.nullable().default(null),
    way: z.enum(MEASURING_WAYS),
    /** Id of the usual shape of the piece. */
    shape: z.string().min(1).max(60),
    planned: weighed,
    weighed,
  })
  .meta({ id: 'MeasuredCut' })
export const measuredCuts = z.array(measuredCut)

/**
 * What happens at a bench, as it is made on the device, kept in its outbox, sent, stored, told to the other
 * devices and merged: one form for all of them. Sending one twice changes nothing.
 */
export const fact = z
  .discriminatedUnion('kind', [reading, factVoid, readingMove, pieceCount, mark, boardState, plateNumber, measuredCut])
  .meta({ id: 'Fact' }) satisfies z.ZodType<Fact>

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
