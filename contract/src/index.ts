/** The front door of the contract: schemas of everything that crosses a wire or a file, and their types. */
export { appraisal } from './appraisal.ts'
export { editOf } from './edit.ts'
export type {
  FabricationEdit,
  FabricationNews,
  FabricationRecord,
  FabricationRow,
  FabricationStart,
  FabricationState,
  FabricationStep,
  FabricationWish,
  KeptMark,
  KeptMove,
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
  mark,
  reading,
  readingMove,
  readingsKept,
  readingsSent,
  readingVoid,
} from './fabrication.ts'
export { fabricationDocument } from './fabrication-document.ts'
export type { Health } from './health.ts'
export { health } from './health.ts'
export type { Cook, Kitchen, KitchenOffer } from './kitchen.ts'
export {
  cook,
  cooks,
  kitchen,
  kitchenOffer,
  kitchenOffers,
  kitchenSetUp,
  kitchens,
} from './kitchen.ts'
export { id } from './numbers.ts'
export { pilesCsv } from './piles-csv.ts'
export type { Problem, ProblemCode } from './problem.ts'
export { issuesOf, PROBLEMS, pathText, problem } from './problem.ts'
export type { ScaleLine, ScaleReading, ScaleState, ScaleStatus } from './scale-line.ts'
export { formatScaleLine, parseScaleLine, scaleCommand, scaleReading, scaleStatus, standInLoad } from './scale-line.ts'
export type {
  CautionOverride,
  Container,
  Item,
  ItemEdit,
  Style,
  StyleFile,
  StylePile,
  StyleStep,
} from './style.ts'
export {
  cautionOverride,
  cautionOverrides,
  container,
  containers,
  item,
  itemEdit,
  items,
  STYLE_FORMAT,
  style,
  styleFile,
} from './style.ts'
