export { averageRatePerHour } from './break-even.ts'
export {
  buyPerPortion,
  extrasPerPiece,
  handlingPerPiece,
  orderedPieces,
  pricePerPiece,
  unitsPerPiece,
} from './buy-price.ts'
export { compare } from './compare.ts'
export { leadingComparison } from './leading.ts'
export { plateYield, servedOfBought } from './plate-weight.ts'
export type { Comparison, Verdict } from './results.ts'
export { comparison } from './results.ts'
export { minutesPerPortion, yearly } from './yearly.ts'
