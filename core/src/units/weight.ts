import { HEAVIEST_GRAMS } from '../limits/index.ts'

/** Grams in a pound: exact, by international agreement. */
export const GRAMS_PER_POUND = 453.59237
/** Grams in an ounce: exactly a sixteenth of a pound. */
export const GRAMS_PER_OUNCE = 28.349523125
export const GRAMS_PER_KILOGRAM = 1000
const OUNCES_PER_POUND = 16

const MILLIGRAMS_PER_GRAM = 1000

/**
 * Grams as a reading keeps them: whole milligrams, as the number nearest to them. A net weight is a difference, and
 * 1000.7 g less 640.3 g is not 360.4 before it is rounded: stored, read back and sent again it would be another one.
 */
export const wholeMilligrams = (grams: number): number => Math.round(grams * MILLIGRAMS_PER_GRAM) / MILLIGRAMS_PER_GRAM

export type WeightSystem = 'metric' | 'imperial'
export type WeightUnit = 'g' | 'kg' | 'lb' | 'oz'

export const GRAMS_PER_UNIT: Readonly<Record<WeightUnit, number>> = {
  g: 1,
  kg: GRAMS_PER_KILOGRAM,
  lb: GRAMS_PER_POUND,
  oz: GRAMS_PER_OUNCE,
}

export type WeightIssueCode = 'empty' | 'not-a-weight' | 'negative' | 'too-heavy'
export type WeightResult = { ok: true; grams: number } | { ok: false; code: WeightIssueCode }

const UNIT_NAMES: ReadonlyMap<string, WeightUnit> = new Map(
  Object.entries({
    g: 'g',
    gr: 'g',
    gram: 'g',
    grams: 'g',
    kg: 'kg',
    kilo: 'kg',
    kilos: 'kg',
    lb: 'lb',
    lbs: 'lb',
    pound: 'lb',
    pounds: 'lb',
    oz: 'oz',
    ounce: 'oz',
    ounces: 'oz',
    '#': 'lb',
  } as const),
)

const NUMBER = String.raw`\d+(?:[.,]\d+)*|[.,]\d+`
const ONE_PART = new RegExp(String.raw`^(${NUMBER})\s*([a-z]*|#)\.?$`, 'i')
/** `13 1/4 lb`: a whole number and a fraction of a pound, as a case is marked by hand. */
const WITH_FRACTION = /^(?:(\d+)\s+)?(\d{1,2})\/(\d{1,2})\s*([a-z]+|#)\.?$/i
const POUNDS_AND_OUNCES = new RegExp(
  String.raw`^(${NUMBER})\s*(?:lbs?\.?|pounds?|#)\s*(?:,|\+|and)?\s*(${NUMBER})\s*(?:oz\.?|ounces?)?$`,
  'i',
)

const GROUP = "[\\s'\\u00a0\\u202f]"
const GROUPED = new RegExp(`^-?\\d{1,3}(?:${GROUP}\\d{3})+(?:[.,]\\d*)?$`)

/**
 * The text of a number without the blanks or apostrophes between its thousands; null where they stand anywhere else:
 * `4 35` is not 435.
 */
export function withoutGroups(text: string): string | null {
  const trimmed = text.trim().replace(/^-\s+/, '-')
  if (!new RegExp(GROUP).test(trimmed)) return trimmed
  return GROUPED.test(trimmed) ? trimmed.replace(new RegExp(GROUP, 'g'), '') : null
}

/**
 * Reads a number as people type it: decimal point or comma, and either of them as the thousands
 * mark where the other is the decimal (`1,250.5`, `1.250,5`) or where it stands more than once.
 * A single mark is always the decimal, so `1,2` and `1.250` are read as written.
 * Returns null for anything else.
 */
export function parseNumber(text: string): number | null {
  const compact = withoutGroups(text)
  if (compact === null || !/^-?(?:\d|[.,]\d)[\d.,]*$/.test(compact)) return null
  const marks = compact.replace(/[^.,]/g, '')
  const decimal = marks.length === 0 ? null : marks[marks.length - 1]
  const isSeries = marks.length > 1 && new Set(marks).size === 1
  if (isSeries) {
    return /^-?\d{1,3}(?:[.,]\d{3})+$/.test(compact) ? Number(compact.replace(/[.,]/g, '')) : null
  }
  if (decimal === null) return Number(compact)
  const at = compact.lastIndexOf(decimal as string)
  const whole = compact.slice(0, at)
  if (marks.length > 1 && !/^-?\d{1,3}(?:[.,]\d{3})+$/.test(whole)) return null
  const value = Number(`${whole.replace(/[.,]/g, '')}.${compact.slice(at + 1)}`)
  return Number.isFinite(value) ? value : null
}

/**
 * Reads a weight as cooks type it: `840`, `1,2 kg`, `2 lb 3 oz`, `13lb 3`, `13 1/4 lb`, `13.2#`, `14 oz`.
 * A bare number is in `bareUnit`. The result is in grams, unrounded; a refusal is a value with a code.
 */
export function parseWeight(text: string, bareUnit: WeightUnit = 'g'): WeightResult {
  const trimmed = text.trim()
  if (trimmed === '') return { ok: false, code: 'empty' }
  if (/^[-\u2212]/.test(trimmed)) return { ok: false, code: 'negative' }
  const grams = gramsOfPoundsAndOunces(trimmed) ?? gramsOfFraction(trimmed) ?? gramsOfOnePart(trimmed, bareUnit)
  if (grams === null) return { ok: false, code: 'not-a-weight' }
  return grams > HEAVIEST_GRAMS ? { ok: false, code: 'too-heavy' } : { ok: true, grams }
}

function gramsOfPoundsAndOunces(text: string): number | null {
  const match = POUNDS_AND_OUNCES.exec(text)
  if (!match) return null
  const pounds = parseNumber(match[1] as string)
  const ounces = parseNumber(match[2] as string)
  if (pounds === null || ounces === null) return null
  return pounds * GRAMS_PER_POUND + ounces * GRAMS_PER_OUNCE
}

function gramsOfFraction(text: string): number | null {
  const match = WITH_FRACTION.exec(text)
  const unit = UNIT_NAMES.get((match?.[4] ?? '').toLowerCase())
  const [whole, part, of] = [Number(match?.[1] ?? 0), Number(match?.[2]), Number(match?.[3])]
  return match && unit && of > 0 ? (whole + part / of) * GRAMS_PER_UNIT[unit] : null
}

/** The unit that a text names first; null where it names none, and a bare number stands there. */
export function unitWritten(text: string): WeightUnit | null {
  const word = /\d\s*([a-z]+|#)/i.exec(text)?.[1]
  return word === undefined ? null : (UNIT_NAMES.get(word.toLowerCase()) ?? null)
}

function gramsOfOnePart(text: string, bareUnit: WeightUnit): number | null {
  const match = ONE_PART.exec(text.replace(/[\s\u00a0\u202f](?=\d{3}(?!\d))/g, ''))
  if (!match) return null
  const unit = match[2] === '' ? bareUnit : UNIT_NAMES.get((match[2] as string).toLowerCase())
  if (unit === undefined) return null
  const digits = match[1] as string
  const value = parseNumber(unit === 'g' && GROUPED_GRAMS.test(digits) ? digits.replace(/[.,]/, '') : digits)
  return value === null ? null : value * GRAMS_PER_UNIT[unit]
}

/** `1,250 g` is twelve hundred and fifty: nobody weighs to a thousandth of a gram. */
const GROUPED_GRAMS = /^[1-9]\d{0,2}[.,]\d{3}$/

/**
 * Words a weight for a screen, rounded to the step of the scale (grams).
 * Metric is grams below ten kilos and kilos above; imperial is said as cooks say it, `2 lb 3.5 oz`.
 */
export function formatWeight(grams: number, system: WeightSystem, stepGrams = 1, mark: DecimalMark = 'point'): string {
  return system === 'metric' ? formatMetric(grams, stepGrams, mark) : formatPoundsOunces(grams, mark)
}

const METRIC_SWITCH_GRAMS = 10_000

function formatMetric(grams: number, stepGrams: number, mark: DecimalMark): string {
  const stepped = Math.round(grams / stepGrams) * stepGrams
  if (Math.abs(stepped) >= METRIC_SWITCH_GRAMS) {
    return `${formatNumber(stepped / GRAMS_PER_KILOGRAM, 2, mark)}\u00a0kg`
  }
  return `${formatNumber(stepped, stepGrams < 1 ? 1 : 0, mark)}\u00a0g`
}

/** `2 lb 3.5 oz`, to a tenth of an ounce, carrying into the pound (never `1 lb 16 oz`). */
export function formatPoundsOunces(grams: number, mark: DecimalMark = 'point'): string {
  const tenths = Math.round((Math.abs(grams) / GRAMS_PER_OUNCE) * 10)
  const pounds = Math.floor(tenths / (OUNCES_PER_POUND * 10))
  const left = tenths - pounds * OUNCES_PER_POUND * 10
  const ounces = formatNumber(left / 10, left % 10 === 0 ? 0 : 1, mark)
  const sign = grams < 0 && tenths > 0 ? '\u2212' : ''
  if (pounds === 0) return `${sign}${ounces}\u00a0oz`
  return left === 0 ? `${sign}${pounds}\u00a0lb` : `${sign}${pounds}\u00a0lb ${ounces}\u00a0oz`
}

/** What stands before the decimals: a point, or the comma of most of Europe with a blank between thousands. */
export type DecimalMark = 'point' | 'comma'

/** The comma's thousands are parted by a blank, never a point: `1.250` typed again would be one and a quarter. */
const MARK_LOCALES: Readonly<Record<DecimalMark, string>> = { point: 'en-GB', comma: 'de-AT' }

const numberFormats = new Map<string, Intl.NumberFormat>()

/** A plain number with its thousands parted and exactly `digits` decimals; a true minus sign. */
export function formatNumber(value: number, digits: number, mark: DecimalMark = 'point'): string {
  const key = `${mark}${digits}`
  let format = numberFormats.get(key)
  if (!format) {
    format = new Intl.NumberFormat(MARK_LOCALES[mark], {
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
    })
    numberFormats.set(key, format)
  }
  const text = format.format(value)
  return text.startsWith('-') ? (/[1-9]/.test(text) ? `\u2212${text.slice(1)}` : text.slice(1)) : text
}

/** A number as it is typed again into a field: all its digits, the kitchen's mark, no thousands. */
export const typedNumber = (value: number, mark: DecimalMark = 'point'): string =>
  mark === 'comma' ? String(value).replace('.', ',') : String(value)
