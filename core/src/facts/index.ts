export type {
  Fact,
  FactKind,
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
export { MARK_KINDS, MEASURING_WAYS, READING_SOURCES } from './fact.ts'
export {
  byOrder,
  factsInForce,
  nextOrder,
  standingCuts,
  standingFacts,
  standingMarks,
  standingReadings,
} from './standing.ts'
