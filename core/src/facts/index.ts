export type {
  BoardPart,
  Fact,
  FactVoid,
  Mark,
  MarkKind,
  MeasuredCut,
  MeasuringWay,
  PieceCount,
  Reading,
  ReadingMove,
  ReadingSource,
} from './fact.ts'
export { BOARD_PARTS, MARK_KINDS, MEASURING_WAYS, READING_SOURCES } from './fact.ts'
export type { StandingBoard } from './standing.ts'
export {
  byOrder,
  factsInForce,
  nextOrder,
  standingBoard,
  standingCuts,
  standingMarks,
  standingReadings,
} from './standing.ts'
