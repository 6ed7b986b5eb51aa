export { parseCountedWeight } from './counted-weight.ts'

export { formatInches, lengthUnitOf, MM_PER_INCH, parseLength } from './length.ts'
export { formatMoney, minorDigits, pricePerKg, pricePerWeight, roundParts, shownDifference } from './money.ts'
export { parsePriceText } from './price-text.ts'
export type { DecimalMark, WeightIssueCode, WeightSystem, WeightUnit } from './weight.ts'
export {
  formatNumber,
  formatPoundsOunces,
  formatWeight,
  GRAMS_PER_KILOGRAM,
  GRAMS_PER_OUNCE,
  GRAMS_PER_POUND,
  GRAMS_PER_UNIT,
  parseNumber,
  parseWeight,
  typedNumber,
  unitWritten,
  wholeMilligrams,
  withoutGroups,
} from './weight.ts'

export { parseWeights } from './weight-list.ts'
