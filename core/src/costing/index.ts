export type { AllocationResult } from './allocation.ts'
export { allocate } from './allocation.ts'
export type { CostIn } from './cost-in.ts'
export {
  apCost,
  costIn,
  labourMinutes,
  MINUTES_PER_HOUR,
  purchasedUnits,
  shortClaim,
} from './cost-in.ts'
export { creditByPolicy, creditOf } from './credit.ts'

export { invoicePrice } from './invoice-price.ts'
export type { PileResult } from './pile-cost.ts'
export { otherPileResult, primaryPileResult, ratio } from './pile-cost.ts'
export type { PieceBound } from './portions.ts'
export { boundOf, pieceStatistics, portionsOf, servedPieces } from './portions.ts'
export type { Amounts } from './priced-units.ts'
export { pricedUnits } from './priced-units.ts'
