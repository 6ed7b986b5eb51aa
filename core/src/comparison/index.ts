export type { BreakEven } from './break-even.ts'
export { averageRatePerHour } from './break-even.ts'
export {
  buyPerPortion,
  extrasPerPiece,
  handlingPerPiece,
  orderedPieces,
  pricePerPiece,
  unitsPerPiece,
} from './buy-price.ts'
export type { Comparison, PolicyVerdict, Verdict } from './compare.ts'
export { compare } from './compare.ts'
export { leadingComparison } from './leading.ts'
export { plateYield, servedOfBought } from './plate-weight.ts'
export type { YearlyResult } from './yearly.ts'
export { minutesPerPortion, yearly } from './yearly.ts'
