/** Where the weight of a reading came from. */
export const READING_SOURCES = ['scale', 'typed', 'imported'] as const
export type ReadingSource = (typeof READING_SOURCES)[number]

/**
 * What a cook says beside the weighings: a clock started or paused, a load out of the cold or back in it, a step done or
 * given to a cook.
 */
export const MARK_KINDS = ['labour-start', 'labour-pause', 'cold-out', 'cold-in', 'step-done', 'step-given'] as const
export type MarkKind = (typeof MARK_KINDS)[number]

/** Ways to know the shape of a piece. */
export const MEASURING_WAYS = ['template', 'girths', 'outline'] as const
export type MeasuringWay = (typeof MEASURING_WAYS)[number]

interface Made {
  id: string
  /**
   * Place in the order of the work: one more than the highest that its device knew. Of facts that two devices
   * made without knowing of each other the id decides; no device's clock does.
   */
  order: number
  /** UTC instant by the device's clock: what it says is shown and measured, and orders nothing. */
  takenAt: string
}

interface MadeAtBench extends Made {
  fabricationId: string
}

/** A weighing, net, in grams of whole milligrams. */
export interface Reading extends MadeAtBench {
  kind: 'reading'
  pileId: string
  grams: number
  source: ReadingSource
  /** Who weighed it; null where nobody said. */
  cookId: string | null
  /** How many pieces were weighed together; null where nobody said. */
  pieces: number | null
}

/** A fact that is taken back. */
export interface FactVoid extends Made {
  kind: 'void'
  fabricationId: string | null
  factId: string
}

/** A reading that belongs to another pile than it was taken onto; of several moves the last holds. */
export interface ReadingMove extends MadeAtBench {
  kind: 'move'
  readingId: string
  pileId: string
}

/** How many pieces a reading is of, said after it was taken; of several the last holds. */
export interface PieceCount extends MadeAtBench {
  kind: 'count'
  readingId: string
  pieces: number
}

export interface Mark extends MadeAtBench {
  kind: 'mark'
  mark: MarkKind
  /** Whose clock it is, who did the step, or to whom it is given; null where nobody said, or for anybody. */
  cookId: string | null
  /** What an hour of that cook costs; null but for a clock that starts. */
  ratePerHour: number | null
  /** Id of the step; null but for a step that is done or given. */
  step: string | null
  /** Which load of the batch came out of the cold or went back, from 1; null for all that is on the board. */
  load: number | null
  /** Birds, fish, loins or racks that came out with it; null where nobody said. */
  units: number | null
}

/** What of a bench lies there until somebody says otherwise: the piece that is cut, and what a plate takes. */
export const BOARD_PARTS = ['next-cut', 'plates'] as const
export type BoardPart = (typeof BOARD_PARTS)[number]

/** What lies on the board, so that every device leads the same knife: of several of a part the last holds. */
export interface BoardState extends MadeAtBench {
  kind: 'board'
  part: BoardPart
  /** As the contract says of its part; null where nothing lies there. */
  state: unknown
}

/** The number of the plate that a piece was given as it was weighed, from 0. */
export interface PlateNumber extends MadeAtBench {
  kind: 'plate'
  readingId: string
  number: number
}

/** A portion that was planned and then weighed, grams: it tells how far off a way of measuring is. */
export interface MeasuredCut extends Made {
  kind: 'measured-cut'
  fabricationId: string | null
  /** The reading that weighed it, where it was weighed at a bench. */
  readingId: string | null
  way: MeasuringWay
  /** Id of the usual shape of the piece. */
  shape: string
  planned: number
  weighed: number
}

/** Something that was done: made once, on a device, kept, sent, stored and never changed. */
export type Fact = Reading | FactVoid | ReadingMove | PieceCount | Mark | BoardState | PlateNumber | MeasuredCut
