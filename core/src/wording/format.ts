import type { Quantity } from '../explanation/index.ts'
import { formatMoney, formatNumber, formatWeight, pricePerWeight, type WeightSystem } from '../units/index.ts'

export interface Format {
  weight: (grams: number) => string
  money: (amount: number) => string
  /** A price per kilo, said per kilo or per pound as the kitchen does. */
  perWeight: (perKg: number) => string
  share: (share: number) => string
  /** A price per kilo or pound as a bare amount, for a column that says which. */
  perWeightAmount: (perKg: number) => string
  /** `kilo` or `pound`. */
  perWeightUnit: string
  quantity: (value: number, quantity: Quantity) => string
  /** The same inside a formula: grams and kilos in every kitchen, because those are what is multiplied. */
  formula: (value: number, quantity: Quantity) => string
}

/** Below this, tenths of a minute matter. */
const FEW_MINUTES = 10

const SQUARE_MM_PER_SQUARE_CM = 100
const CUBIC_MM_PER_CUBIC_CM = 1000

/** How this kitchen reads weights and money. Rounding happens here and nowhere before. */
export function formatFor(currency: string, units: WeightSystem): Format {
  const weight = (grams: number) => formatWeight(grams, units)
  const money = (amount: number) => formatMoney(amount, currency)
  const perWeight = (perKg: number) => {
    const { amount, per } = pricePerWeight(perKg, units)
    return `${money(amount)} a\u00a0${per === 'kg' ? 'kilo' : 'pound'}`
  }
  const share = (value: number) => `${formatNumber(value * 100, 1)}\u00a0%`
  const plain = (value: number) => formatNumber(value, Number.isInteger(value) ? 0 : 1)
  const quantity = (value: number, kind: Quantity) => {
    switch (kind) {
      case 'weight':
        return weight(value)
      case 'money':
        return money(value)
      case 'money-per-kg':
        return perWeight(value)
      case 'money-per-hour':
        return `${money(value)} an\u00a0hour`
      case 'share':
        return share(value)
      case 'minutes':
        return `${formatNumber(value, value < FEW_MINUTES ? 1 : 0)}\u00a0min`
      case 'factor':
        return formatNumber(value, 3)
      case 'count':
        return plain(value)
      case 'length':
        return `${plain(value)}\u00a0mm`
      case 'area':
        return `${formatNumber(value / SQUARE_MM_PER_SQUARE_CM, 1)}\u00a0cm²`
      case 'volume':
        return `${formatNumber(value / CUBIC_MM_PER_CUBIC_CM, 0)}\u00a0cm³`
    }
  }
  const formula = (value: number, kind: Quantity) => {
    if (kind === 'weight') return `${plain(value)}\u00a0g`
    return kind === 'money-per-kg' ? `${money(value)}/kg` : quantity(value, kind)
  }
  const perWeightAmount = (perKg: number) => money(pricePerWeight(perKg, units).amount)
  const perWeightUnit = units === 'metric' ? 'kilo' : 'pound'
  return { weight, money, perWeight, perWeightAmount, perWeightUnit, share, quantity, formula }
}
