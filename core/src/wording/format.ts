import { type Expression, inPounds, type Quantity } from '../explanation/index.ts'
import {
  type DecimalMark,
  formatInches,
  formatMoney,
  formatNumber,
  formatWeight,
  GRAMS_PER_KILOGRAM,
  GRAMS_PER_OUNCE,
  GRAMS_PER_POUND,
  MM_PER_INCH,
  pricePerWeight,
  typedNumber,
  type WeightSystem,
} from '../units/index.ts'
import { heatWords, localWords } from './local-words.ts'

export interface Format {
  currency: string
  weight: (grams: number) => string
  money: (amount: number) => string
  /** A plain number with so many decimals. */
  number: (value: number, digits: number) => string
  /** A number as it stands in a field to be typed over. */
  typed: (value: number) => string
  /** A length on the board: millimetres, or inches to a sixteenth. */
  length: (mm: number) => string
  /** The same without its unit, for a column that says it. */
  lengthAmount: (mm: number) => string
  /** `mm` or `in`. */
  lengthUnit: 'mm' | 'in'
  /** Degrees Celsius as the kitchen reads them. */
  heat: (celsius: number) => string
  /** A price per kilo, said per kilo or per pound as the kitchen does. */
  perWeight: (perKg: number) => string
  share: (share: number) => string
  /** A price per kilo or pound as a bare amount, for a column that says which. */
  perWeightAmount: (perKg: number) => string
  /** `kilo` or `pound`. */
  perWeightUnit: string
  /** What `money-per-100g` is said for: `100 g` or `ounce`. */
  smallWeightUnit: string
  quantity: (value: number, quantity: Quantity) => string
  /** The same inside a formula: grams and kilos, or decimal pounds, because those are what is multiplied. */
  formula: (value: number, quantity: Quantity) => string
  /** A formula as this kitchen multiplies it. */
  expression: (expression: Expression) => Expression
  /** A text of the trade in this kitchen's measures. */
  words: (text: string) => string
}

/** Below this, tenths of a minute matter. */
const FEW_MINUTES = 10
/** Below this, thousandths of a pound matter: they are half a gram. */
const FEW_POUNDS = 10

const SQUARE_MM_PER_SQUARE_CM = 100
const CUBIC_MM_PER_CUBIC_CM = 1000
const SMALL_WEIGHT_GRAMS = 100

/** How this kitchen reads weights, lengths and money. Rounding happens here and nowhere before. */
export function formatFor(currency: string, units: WeightSystem, mark: DecimalMark = 'point'): Format {
  const isMetric = units === 'metric'
  const number = (value: number, digits: number) => formatNumber(value, digits, mark)
  const weight = (grams: number) => formatWeight(grams, units, 1, mark)
  const money = (amount: number) => formatMoney(amount, currency, 0, mark)
  const perWeight = (perKg: number) =>
    `${money(pricePerWeight(perKg, units).amount)} a\u00a0${isMetric ? 'kilo' : 'pound'}`
  const share = (value: number) => `${number(value * 100, 1)}\u00a0%`
  const plain = (value: number) => number(value, Number.isInteger(value) ? 0 : 1)
  const lengthAmount = (mm: number) => (isMetric ? plain(mm) : formatInches(mm))
  const lengthUnit = isMetric ? 'mm' : 'in'
  const perSmall = (per100g: number) => money(isMetric ? per100g : (per100g / SMALL_WEIGHT_GRAMS) * GRAMS_PER_OUNCE)
  const factor = (perKg: number) => number(isMetric ? perKg : (perKg * GRAMS_PER_KILOGRAM) / GRAMS_PER_POUND, 3)
  const quantity = (value: number, kind: Quantity): string => {
    switch (kind) {
      case 'weight':
        return weight(value)
      case 'money':
        return money(value)
      case 'money-per-kg':
        return perWeight(value)
      case 'money-per-100g':
        return perSmall(value)
      case 'money-per-hour':
        return `${money(value)} an\u00a0hour`
      case 'share':
        return share(value)
      case 'minutes':
        return `${number(value, value < FEW_MINUTES ? 1 : 0)}\u00a0min`
      case 'factor':
        return number(value, 3)
      case 'factor-per-kg':
        return factor(value)
      case 'count':
        return plain(value)
      case 'length':
        return `${lengthAmount(value)}\u00a0${lengthUnit}`
      case 'area':
        return isMetric
          ? `${number(value / SQUARE_MM_PER_SQUARE_CM, 1)}\u00a0cm²`
          : `${number(value / MM_PER_INCH ** 2, 2)}\u00a0in²`
      case 'volume':
        return isMetric
          ? `${number(value / CUBIC_MM_PER_CUBIC_CM, 0)}\u00a0cm³`
          : `${number(value / MM_PER_INCH ** 3, 1)}\u00a0in³`
    }
  }
  const pounds = (grams: number) => {
    const amount = grams / GRAMS_PER_POUND
    const digits = Number.isInteger(amount) ? 0 : Math.abs(amount) < FEW_POUNDS ? 3 : 2
    return `${number(amount, digits)}\u00a0lb`
  }
  const formula = (value: number, kind: Quantity) => {
    if (kind === 'weight') return isMetric ? `${plain(value)}\u00a0g` : pounds(value)
    if (kind === 'length' && !isMetric) return `${number(value / MM_PER_INCH, 2)}\u00a0in`
    return kind === 'money-per-kg' ? `${perWeightAmount(value)}/${isMetric ? 'kg' : 'lb'}` : quantity(value, kind)
  }
  const perWeightAmount = (perKg: number) => money(pricePerWeight(perKg, units).amount)
  return {
    currency,
    weight,
    money,
    number,
    typed: (value) => typedNumber(value, mark),
    length: (mm) => quantity(isMetric ? Math.round(mm) : mm, 'length'),
    lengthAmount: (mm) => lengthAmount(isMetric ? Math.round(mm) : mm),
    lengthUnit,
    heat: (celsius) => heatWords(celsius, units, mark),
    perWeight,
    perWeightAmount,
    perWeightUnit: isMetric ? 'kilo' : 'pound',
    smallWeightUnit: isMetric ? '100\u00a0g' : 'ounce',
    share,
    quantity,
    formula,
    expression: (expression) => (isMetric ? expression : inPounds(expression)),
    words: (text) => localWords(text, units, mark),
  }
}
