import { type DecimalMark, formatNumber, GRAMS_PER_KILOGRAM, GRAMS_PER_POUND, type WeightSystem } from './weight.ts'

/** Decimals of a currency's minor unit (2 for EUR and USD, 0 for JPY), from the platform's own tables. */
export function minorDigits(currency: string): number {
  const format = new Intl.NumberFormat('en', { style: 'currency', currency })
  return format.resolvedOptions().maximumFractionDigits ?? 2
}

const symbols = new Map<string, string>()

function currencySymbol(currency: string): string {
  let symbol = symbols.get(currency)
  if (symbol === undefined) {
    const parts = new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
    symbol = parts.formatToParts(0).find((part) => part.type === 'currency')?.value ?? currency
    symbols.set(currency, symbol)
  }
  return symbol
}

/** Money for a screen, rounded to the minor unit: `€2.87`, `−€0.15`. `extraDigits` shows small unit prices finer. */
export function formatMoney(amount: number, currency: string, extraDigits = 0, mark: DecimalMark = 'point'): string {
  const text = formatNumber(Math.abs(amount), minorDigits(currency) + extraDigits, mark)
  const isZero = !/[1-9]/.test(text)
  return `${amount < 0 && !isZero ? '\u2212' : ''}${currencySymbol(currency)}${text}`
}

/** A price per kilo as this kitchen reads it: per kilo, or per pound where it works in pounds. */
export function pricePerWeight(perKg: number, system: WeightSystem): { amount: number; per: 'kg' | 'lb' } {
  if (system === 'metric') return { amount: perKg, per: 'kg' }
  return { amount: (perKg / GRAMS_PER_KILOGRAM) * GRAMS_PER_POUND, per: 'lb' }
}

/** The difference of two amounts as they are shown, so that a reader who takes one from the other finds it. */
export function shownDifference(a: number, b: number, currency: string): number {
  const scale = 10 ** minorDigits(currency)
  return (Math.round(a * scale) - Math.round(b * scale)) / scale
}

/** The other way: a price per kilo or per pound, as this kitchen says it, as a price per kilo. */
export function pricePerKg(amount: number, system: WeightSystem): number {
  return system === 'metric' ? amount : (amount / GRAMS_PER_POUND) * GRAMS_PER_KILOGRAM
}

/**
 * Rounds parts so that they add up to the rounded total: each part is rounded by itself and the
 * remainder goes to the largest part (the first of them in a tie).
 * `digits` are the decimals to keep; the total is the sum of the parts unless given.
 */
export function roundParts(
  parts: readonly number[],
  digits: number,
  total = parts.reduce((sum, part) => sum + part, 0),
): number[] {
  const scale = 10 ** digits
  const units = parts.map((part) => Math.round(part * scale))
  const remainder = Math.round(total * scale) - units.reduce((sum, part) => sum + part, 0)
  const largest = parts.reduce((best, part, at) => (Math.abs(part) > Math.abs(parts[best] as number) ? at : best), 0)
  return units.map((unit, index) => (index === largest ? unit + remainder : unit) / scale)
}
