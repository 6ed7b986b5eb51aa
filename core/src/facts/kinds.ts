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

/** What of a bench lies there until somebody says otherwise: the piece that is cut, and what a plate takes. */
export const BOARD_PARTS = ['next-cut', 'plates'] as const
export type BoardPart = (typeof BOARD_PARTS)[number]
