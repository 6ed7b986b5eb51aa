export { averageRatePerHour } from './break-even.ts'
export {
  buyPerPortion,
  extrasPerPiece,
  handlingPerPiece,
  orderedPieces,
  pricePerPiece,
  unitsPerPiece,
} from './buy-price.ts'
export type { Comparison, Verdict } from './compare.ts'
export { compare } from './compare.ts'
export { leadingComparison } from './leading.ts'
export { plateYield, servedOfBought } from './plate-weight.ts'

export { minutesPerPortion, yearly } from './yearly.ts'
