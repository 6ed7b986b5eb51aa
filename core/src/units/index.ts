export { parseCountedWeight } from './counted-weight.ts'
export { formatMoney, minorDigits, pricePerKg, pricePerWeight, roundParts, shownDifference } from './money.ts'
export { parsePriceText } from './price-text.ts'
export type { WeightIssueCode, WeightResult, WeightSystem, WeightUnit } from './weight.ts'
export {
  formatNumber,
  formatPoundsOunces,
  formatWeight,
  GRAMS_PER_KILOGRAM,
  GRAMS_PER_POUND,
  GRAMS_PER_UNIT,
  parseNumber,
  parseWeight,
  unitWritten,
  wholeMilligrams,
  withoutGroups,
} from './weight.ts'
export type { WeightListResult } from './weight-list.ts'
export { parseWeights } from './weight-list.ts'
