/** The front door of the contract: schemas of everything that crosses a wire or a file, and their types. */
export { appraisal } from './appraisal.ts'
export { editOf } from './edit.ts'
export type {
  FabricationEdit,
  FabricationRecord,
  FabricationRow,
  FabricationStart,
  FabricationState,
  KeptReading,
  KeptVoid,
  ReadingsSent,
} from './fabrication.ts'
export {
  fabricationEdit,
  fabricationRecord,
  fabricationRows,
  fabricationStart,
  fabricationState,
  reading,
  readingsKept,
  readingsSent,
  readingVoid,
} from './fabrication.ts'
export { fabricationDocument } from './fabrication-document.ts'
export type { Health } from './health.ts'
export { health } from './health.ts'
export type { Cook, Item, Kitchen, KitchenOffer, Style } from './kitchen.ts'
export {
  cook,
  cooks,
  item,
  items,
  kitchen,
  kitchenOffer,
  kitchenOffers,
  kitchenSetUp,
  kitchens,
  style,
} from './kitchen.ts'
export { id } from './numbers.ts'
export { pilesCsv } from './piles-csv.ts'
export type { Problem, ProblemCode } from './problem.ts'
export { issuesOf, PROBLEMS, pathText, problem } from './problem.ts'
export type { ScaleLine, ScaleReading, ScaleState, ScaleStatus } from './scale-line.ts'
export { formatScaleLine, parseScaleLine, scaleCommand, scaleReading, scaleStatus, standInLoad } from './scale-line.ts'
