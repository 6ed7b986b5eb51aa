export type { Fact, FactVoid, Mark, MeasuredCut, PieceCount, Reading, ReadingMove } from './fact.ts'
export { fact, MAX_PLATES, mark, measuredCut } from './fact.ts'
export type { BoardPart, MarkKind, MeasuringWay, ReadingSource } from './kinds.ts'
export { MEASURING_WAYS } from './kinds.ts'
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
