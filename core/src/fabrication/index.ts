export { checkClaim } from './claim.ts'
export type { ColdLimits, ColdLoad, ColdLoads } from './cold.ts'
export { coldLoads, DEFAULT_COLD_LIMITS } from './cold.ts'
export type {
  Allocation,
  Consumable,
  CreditPolicy,
  FabricationDocument,
  LabourEntry,
  Offer,
  Pile,
  PileClass,
  PileKind,
  Price,
  PriceUnit,
  Purchase,
} from './document.ts'
export {
  ALLOCATIONS,
  CREDIT_POLICIES,
  DOCUMENT_FORMAT,
  DOCUMENT_VERSION,
  PILE_CLASSES,
  PILE_KINDS,
  PRICE_UNITS,
  pileWeight,
  usedShareOf,
} from './document.ts'
export type { LabourAnswer, LabourDoubt, LabourSource } from './labour.ts'
export { LABOUR_SOURCES, labourAnswered, labourAtEnd, labourDoubt, labourSoFar } from './labour.ts'
export type { CookName } from './marks.ts'
export { labourClocks } from './marks.ts'
export type { PlannedPile, Weighing } from './readings.ts'
export { expectedWeight, isUncounted, piecesIn, pilesFromReadings } from './readings.ts'
export type { FabricationPlan, PlannedOffer, PriceSource } from './record.ts'
export { documentOf, PRICE_SOURCES, RECORD_STATUSES, WEIGHT_SOURCES } from './record.ts'
export type { Balance, Limits, WeightsResult } from './weights.ts'
export { BALANCES, DEFAULT_LIMITS, weigh } from './weights.ts'
