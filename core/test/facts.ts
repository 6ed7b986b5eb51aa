import type { FactVoid, Mark, MarkKind, PieceCount, Reading, ReadingMove } from '../src/facts/index.ts'

const AT = '2026-11-24T08:00:00.000Z'
const made = (id: string, order: number) => ({ id, order, takenAt: AT, fabricationId: 'f' })

/** A weighing; without a place of its own, ids that are numbers say it. */
export const reading = (id: string, pileId: string, grams: number, changes: Partial<Reading> = {}): Reading => ({
  ...made(id, Number(id) || 1),
  kind: 'reading',
  pileId,
  grams,
  source: 'scale',
  cookId: null,
  pieces: null,
  ...changes,
})

export const count = (id: string, readingId: string, pieces: number, order: number): PieceCount => ({
  ...made(id, order),
  kind: 'count',
  readingId,
  pieces,
})

export const factVoid = (id: string, factId: string, order = 100): FactVoid => ({
  ...made(id, order),
  kind: 'void',
  factId,
})

export const move = (id: string, readingId: string, pileId: string, order: number): ReadingMove => ({
  ...made(id, order),
  kind: 'move',
  readingId,
  pileId,
})

export const mark = (id: string, kind: MarkKind, order: number, changes: Partial<Mark> = {}): Mark => ({
  ...made(id, order),
  kind: 'mark',
  mark: kind,
  cookId: null,
  ratePerHour: null,
  step: null,
  load: null,
  units: null,
  ...changes,
})
