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
  minorDigits,
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
  formula: (value: number, quantity: Quantity, moreDigits?: number) => string
  /** The number that stands in a formula, as who reads it takes it; `moreDigits` beyond the usual decimals. */
  shownInFormula: (value: number, quantity: Quantity, moreDigits: number) => number
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

/** Of so many decimals beyond the usual those that are no trailing noughts. */
function digitsThatTell(amount: number, digits: number, more: number): number {
  const rounded = (places: number) => Math.round(amount * 10 ** places) / 10 ** places
  let extra = 0
  while (extra < more && rounded(digits + extra) !== rounded(digits + more)) extra++
  return extra
}

/** How this kitchen reads weights, lengths and money. Rounding happens here and nowhere before. */
export function formatFor(currency: string, units: WeightSystem, mark: DecimalMark = 'point'): Format {
  const isMetric = units === 'metric'
  const number = (value: number, digits: number) => formatNumber(value, digits, mark)
  const weight = (grams: number) => formatWeight(grams, units, 1, mark)
  const money = (amount: number) => formatMoney(amount, currency, 0, mark)
  const perWeight = (perKg: number) =>
    `${money(pricePerWeight(perKg, units).amount)} a\u00a0${isMetric ? 'kilo' : 'pound'}`
  const share = (value: number) => `${number(value * 100, 1)}${isMetric ? '\u00a0' : ''}%`
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
  /** What one of a kind is in a formula, and the decimals of its amount. */
  const inFormula = (value: number, kind: Quantity): { unit: number; digits: number } => {
    const whole = (amount: number, digits: number) => (Number.isInteger(amount) ? 0 : digits)
    switch (kind) {
      case 'weight': {
        const unit = isMetric ? 1 : GRAMS_PER_POUND
        const amount = value / unit
        return { unit, digits: whole(amount, isMetric ? 1 : Math.abs(amount) < FEW_POUNDS ? 3 : 2) }
      }
      case 'money':
      case 'money-per-hour':
        return { unit: 1, digits: minorDigits(currency) }
      case 'money-per-kg':
        return { unit: isMetric ? 1 : GRAMS_PER_KILOGRAM / GRAMS_PER_POUND, digits: minorDigits(currency) }
      case 'money-per-100g':
        return { unit: isMetric ? 1 : SMALL_WEIGHT_GRAMS / GRAMS_PER_OUNCE, digits: minorDigits(currency) }
      case 'share':
        return { unit: 0.01, digits: 1 }
      case 'minutes':
        return { unit: 1, digits: value < FEW_MINUTES ? 1 : 0 }
      case 'factor':
        return { unit: 1, digits: 3 }
      case 'factor-per-kg':
        return { unit: isMetric ? 1 : GRAMS_PER_POUND / GRAMS_PER_KILOGRAM, digits: 3 }
      case 'length':
        return { unit: isMetric ? 1 : MM_PER_INCH, digits: isMetric ? whole(value, 1) : 2 }
      case 'count':
        return { unit: 1, digits: whole(value, 1) }
      case 'area':
        return { unit: isMetric ? SQUARE_MM_PER_SQUARE_CM : MM_PER_INCH ** 2, digits: isMetric ? 1 : 2 }
      case 'volume':
        return { unit: isMetric ? CUBIC_MM_PER_CUBIC_CM : MM_PER_INCH ** 3, digits: isMetric ? 0 : 1 }
    }
  }
  const formula = (value: number, kind: Quantity, more = 0) => {
    const { unit, digits } = inFormula(value, kind)
    const amount = value / unit
    const extra = digitsThatTell(amount, digits, more)
    const priced = (per: string) => `${formatMoney(amount, currency, extra, mark)}${per}`
    const withWord = (word: string) => `${number(amount, digits + extra)}\u00a0${word}`
    switch (kind) {
      case 'weight':
        return withWord(isMetric ? 'g' : 'lb')
      case 'length':
        return withWord(lengthUnit)
      case 'money':
        return priced('')
      case 'money-per-kg':
        return priced(`/${isMetric ? 'kg' : 'lb'}`)
      case 'share':
        return withWord('%')
      case 'minutes':
        return withWord('min')
      case 'count':
      case 'factor':
      case 'factor-per-kg':
        return number(amount, digits + extra)
      default:
        return quantity(value, kind)
    }
  }
  const shownInFormula = (value: number, kind: Quantity, more: number) => {
    const { unit, digits } = inFormula(value, kind)
    const scale = 10 ** (digits + more)
    return (Math.round((value / unit) * scale) / scale) * unit
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
    shownInFormula,
    expression: (expression) => (isMetric ? expression : inPounds(expression)),
    words: (text) => localWords(text, units, mark),
  }
}
