export { checkClaim } from './claim.ts'
export type { ColdLimits, ColdLoad, ColdLoads } from './cold.ts'
export { coldLoads, DEFAULT_COLD_LIMITS } from './cold.ts'
export type { Consumable, FabricationDocument, LabourEntry, Offer, Pile, Price, Purchase } from './document.ts'
export {
  consumable,
  fabricationDocument,
  labourEntry,
  offerOfPile,
  pileRuleIssues,
  price,
  purchase,
  startPurchase,
} from './document.ts'
export type { Allocation, Balance, CreditPolicy, PileClass, PileKind, PriceUnit } from './kinds.ts'
export {
  ALLOCATIONS,
  BALANCES,
  CREDIT_POLICIES,
  DOCUMENT_FORMAT,
  DOCUMENT_VERSION,
  PILE_CLASSES,
  PILE_KINDS,
  PRICE_UNITS,
  WEIGHINGS,
} from './kinds.ts'
export type { LabourAnswer, LabourDoubt, LabourSource } from './labour.ts'
export { LABOUR_SOURCES, labourAnswered, labourAtEnd, labourDoubt, labourSoFar } from './labour.ts'
export type { CookName } from './marks.ts'
export { labourClocks } from './marks.ts'
export { pileWeight, usedShareOf } from './pile.ts'
export type { PlannedOffer, PlannedPile } from './planned.ts'
export { plannedOffer, plannedPile } from './planned.ts'
export { expectedWeight, isUncounted, piecesIn, pilesFromReadings } from './readings.ts'
export type { FabricationPlan, PriceSource } from './record.ts'
export { documentOf, PRICE_SOURCES, RECORD_STATUSES, WEIGHT_SOURCES } from './record.ts'
export { refuseValueSign } from './value-sign.ts'
export type { Limits } from './weights.ts'
export { DEFAULT_LIMITS, weigh } from './weights.ts'
export type { WeightsResult } from './weights-result.ts'
export { weightsResult } from './weights-result.ts'
