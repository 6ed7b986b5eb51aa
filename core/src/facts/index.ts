export type {
  Fact,
  FactKind,
  FactVoid,
  Mark,
  MarkKind,
  MeasuredCut,
  MeasuringWay,
  Reading,
  ReadingMove,
  ReadingSource,
} from './fact.ts'
export { MARK_KINDS, MEASURING_WAYS, READING_SOURCES } from './fact.ts'
export { byOrder, nextOrder, standingCuts, standingFacts, standingMarks, standingReadings } from './standing.ts'
