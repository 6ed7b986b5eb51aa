import { parseNumber, type WeightSystem } from './weight.ts'

/** Millimetres in an inch: exact, by international agreement. */
export const MM_PER_INCH = 25.4
const MM_PER_CM = 10
const SIXTEENTHS = 16

export type LengthUnit = 'mm' | 'in'

/** The unit of a bare number, where a knife is led: millimetres, or inches where pounds are weighed. */
export const lengthUnitOf = (system: WeightSystem): LengthUnit => (system === 'metric' ? 'mm' : 'in')

const UNIT_NAMES: ReadonlyMap<string, number> = new Map([
  ['mm', 1],
  ['cm', MM_PER_CM],
  ['in', MM_PER_INCH],
  ['inch', MM_PER_INCH],
  ['inches', MM_PER_INCH],
  ['"', MM_PER_INCH],
])

/** A number, a number and a fraction, or a fraction alone, and the unit behind it. */
const LENGTH = /^(?:(\d[\d.,]*)(?:\s+(\d{1,2})\/(\d{1,2}))?|(\d{1,2})\/(\d{1,2}))\s*([a-z]+|")?\.?$/i

/**
 * Reads a length as cooks type it: `35`, `3.5 cm`, `1 3/8`, `1 3/8"`, `3/4 in`. A bare number is in `bareUnit`.
 * The result is millimetres, unrounded; null for what is no length.
 */
export function parseLength(text: string, bareUnit: LengthUnit = 'mm'): number | null {
  const match = LENGTH.exec(text.trim())
  if (!match) return null
  const whole = match[1] === undefined ? 0 : parseNumber(match[1])
  const perUnit = UNIT_NAMES.get((match[6] ?? bareUnit).toLowerCase())
  const part = Number(match[2] ?? match[4] ?? 0) / Number(match[3] ?? match[5] ?? 1)
  return whole === null || perUnit === undefined || !Number.isFinite(part) ? null : (whole + part) * perUnit
}

/** Inches as a ruler has them, to a sixteenth: `1 3/8`. Below zero with a true minus sign. */
export function formatInches(mm: number): string {
  const sixteenths = Math.round((Math.abs(mm) / MM_PER_INCH) * SIXTEENTHS)
  const whole = Math.floor(sixteenths / SIXTEENTHS)
  let [over, under] = [sixteenths % SIXTEENTHS, SIXTEENTHS]
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2]
  const sign = mm < 0 && sixteenths > 0 ? '\u2212' : ''
  if (over === 0) return `${sign}${whole}`
  return whole === 0 ? `${sign}${over}/${under}` : `${sign}${whole} ${over}/${under}`
}
