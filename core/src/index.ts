/** The front door of the computation: pure functions over plain data, grams and major units of money. */
export type { Appraisal, CostResult, RepricedPile, Warning, WarningCode } from './appraisal/index.ts'
export { appraise, atApPrice, reprice, WARNING_CODES } from './appraisal/index.ts'
export type { Segment, SegmentKind, TwinBeam } from './beam/index.ts'
export { twinBeam } from './beam/index.ts'
export type { BreakEven, Comparison, PolicyVerdict, Verdict, YearlyResult } from './comparison/index.ts'
export { leadingComparison, minutesPerPortion, yearly } from './comparison/index.ts'
export type { PieceBound, PileResult } from './costing/index.ts'
export { boundOf, labourMinutes, ratio } from './costing/index.ts'
export type { Explanation, Expression, FigureRef, Quantity } from './explanation/index.ts'
export { evaluate, explain, word } from './explanation/index.ts'
export type {
  Allocation,
  Balance,
  BenchFacts,
  ClaimCheck,
  ColdClock,
  ColdLimits,
  Consumable,
  CreditPolicy,
  DocumentMeta,
  DocumentOptions,
  FabricationDocument,
  FabricationPlan,
  LabourClock,
  LabourEntry,
  Limits,
  Mark,
  MarkKind,
  Offer,
  Pile,
  PileClass,
  PlannedPile,
  Price,
  PriceUnit,
  Purchase,
  Reading,
  ReadingMove,
  ReadingVoid,
  Weighing,
  WeightsResult,
} from './fabrication/index.ts'
export {
  ALLOCATIONS,
  CREDIT_POLICIES,
  checkClaim,
  coldClock,
  DEFAULT_COLD_LIMITS,
  DEFAULT_LIMITS,
  DOCUMENT_FORMAT,
  DOCUMENT_VERSION,
  documentOf,
  expectedWeight,
  labourClocks,
  labourFromMarks,
  MARK_KINDS,
  PILE_CLASSES,
  PRICE_UNITS,
  pilesAsExpected,
  pilesFromReadings,
  pileWeight,
  standingReadings,
} from './fabrication/index.ts'
export type {
  Chosen,
  ChosenOption,
  CutStyle,
  PortionBounds,
  SettledStyle,
  StepGain,
  StepWorth,
  StyleChoice,
  StyleConsumable,
  StyleOption,
  StylePile,
  StyleStep,
  Tool,
  When,
} from './style/index.ts'
export { choicesOf, expectedUnitWeight, settleStyle, shareLeft, stepWorth, TOOLS } from './style/index.ts'
export type { WeightIssueCode, WeightListResult, WeightResult, WeightSystem, WeightUnit } from './units/index.ts'
export {
  formatMoney,
  formatNumber,
  formatPoundsOunces,
  formatWeight,
  GRAMS_PER_UNIT,
  HEAVIEST_GRAMS,
  minorDigits,
  parseNumber,
  parseWeight,
  parseWeights,
  pricePerKg,
  pricePerWeight,
  roundParts,
  shownDifference,
} from './units/index.ts'
export type {
  CheckCode,
  LossCause,
  PileOutcome,
  PlateReading,
  Rhythm,
  ScaleView,
  SequenceInput,
  WeighingCheck,
} from './weighing/index.ts'
export {
  expectedReading,
  LOSS_CAUSES,
  likelyCauses,
  looksLike,
  nextPile,
  outsideRange,
  pileBySize,
  pilesInStepOrder,
  RHYTHMS,
  SAME_LOAD_GRAMS,
  stillTaken,
  unitOnBoard,
  viewOf,
  weighingChecks,
  weighingsOf,
} from './weighing/index.ts'
