import { z } from 'zod'
import { HEAVIEST_GRAMS, LAST_ORDER } from '../limits/index.ts'
import { wholeMilligrams } from '../units/index.ts'
import { id, instant, money, positiveCount } from '../values/index.ts'
import { BOARD_PARTS, MARK_KINDS, MEASURING_WAYS, READING_SOURCES } from './kinds.ts'

/** A net weight in grams, above zero: brought to whole milligrams, so that it is the same number wherever it is kept. */
const weighed = z
  .number()
  .overwrite(wholeMilligrams)
  .gt(0)
  .max(HEAVIEST_GRAMS)
  .meta({ description: 'grams, whole milligrams' })

/** Pieces of one weighing. */
const MAX_PIECES = 10_000
const pieces = positiveCount.max(MAX_PIECES)
const cookId = id.nullable().default(null)

const factFields = {
  id,
  /**
   * Place in the order of the work: one more than the highest that its device knew. Of facts that two devices
   * made without knowing of each other the id decides; no device's clock does.
   */
  order: z.number().int().min(1).max(LAST_ORDER),
  /** By the device's clock: what it says is shown and measured, and orders nothing. */
  takenAt: instant,
}
const benchFactFields = { ...factFields, fabricationId: id }

/** One weighing, net. */
export const reading = z
  .strictObject({
    kind: z.literal('reading'),
    ...benchFactFields,
    pileId: id,
    grams: weighed,
    source: z.enum(READING_SOURCES),
    /** Who weighed it; null where nobody said. */
    cookId,
    /** How many pieces were weighed together; null where nobody said. */
    pieces: pieces.nullable().default(null),
  })
  .meta({ id: 'Reading' })
export type Reading = z.infer<typeof reading>

/** Something that is taken back: a reading, a move, a mark, a measured cut. */
const factVoid = z
  .strictObject({ kind: z.literal('void'), ...factFields, fabricationId: id.nullable(), factId: id })
  .meta({ id: 'FactVoid' })
export type FactVoid = z.infer<typeof factVoid>

/** A weighing that belongs to another pile; of several the last holds. */
const readingMove = z
  .strictObject({ kind: z.literal('move'), ...benchFactFields, readingId: id, pileId: id })
  .meta({ id: 'ReadingMove' })
export type ReadingMove = z.infer<typeof readingMove>

/** How many pieces a weighing is of, said after it; of several the last holds. */
const pieceCount = z
  .strictObject({ kind: z.literal('count'), ...benchFactFields, readingId: id, pieces })
  .meta({ id: 'PieceCount' })
export type PieceCount = z.infer<typeof pieceCount>

/** A clock started or paused, a load out of the cold or back in it, a step done or given to a cook. */
export const mark = z
  .strictObject({
    kind: z.literal('mark'),
    ...benchFactFields,
    mark: z.enum(MARK_KINDS),
    /** Whose clock it is, who did the step, or to whom it is given; null where nobody said, or for anybody. */
    cookId,
    /** What an hour of that cook costs; null but for a clock that starts. */
    ratePerHour: money.nullable().default(null),
    /** Id of the step; null but for a step that is done or given. */
    step: z.string().max(60).nullable().default(null),
    /** Which load of the batch came out of the cold or went back, from 1; null for all that is on the board. */
    load: pieces.nullable().default(null),
    /** Birds, fish, loins or racks that came out with it; null where nobody said. */
    units: pieces.nullable().default(null),
  })
  .meta({ id: 'Mark' })
export type Mark = z.infer<typeof mark>

/** What lies on the board, so that every device leads the same knife: of several of a part the last holds. */
const boardState = z
  .strictObject({
    kind: z.literal('board'),
    ...benchFactFields,
    part: z.enum(BOARD_PARTS),
    /** As the contract says of its part; null where nothing lies there. */
    state: z.unknown(),
  })
  .meta({ id: 'BoardState' })
export type BoardState = z.infer<typeof boardState>

/** Most plates of one batch. */
export const MAX_PLATES = 10_000

/** The number of the plate that a piece was given as it was weighed, from 0. */
const plateNumber = z
  .strictObject({
    kind: z.literal('plate'),
    ...benchFactFields,
    readingId: id,
    number: z.number().int().min(0).max(MAX_PLATES),
  })
  .meta({ id: 'PlateNumber' })

/** A portion that was planned and then weighed: it tells how far off a way of measuring is. */
export const measuredCut = z
  .strictObject({
    kind: z.literal('measured-cut'),
    ...factFields,
    fabricationId: id.nullable().default(null),
    /** The reading that weighed it, where it was weighed at a bench. */
    readingId: id.nullable().default(null),
    way: z.enum(MEASURING_WAYS),
    /** Id of the usual shape of the piece. */
    shape: z.string().min(1).max(60),
    planned: weighed,
    weighed,
  })
  .meta({ id: 'MeasuredCut' })
export type MeasuredCut = z.infer<typeof measuredCut>

/** Something that was done: made once, on a device, kept, sent, stored and never changed. */
export const fact = z.discriminatedUnion('kind', [
  reading,
  factVoid,
  readingMove,
  pieceCount,
  mark,
  boardState,
  plateNumber,
  measuredCut,
])
export type Fact = z.infer<typeof fact>
