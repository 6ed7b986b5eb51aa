import { parseWeight, type WeightResult, type WeightUnit } from './weight.ts'

export type CountedWeightResult =
  | { ok: true; grams: number /** Null where no number of pieces was written. */; pieces: number | null }
  | Extract<WeightResult, { ok: false }>

const PIECES = '(?:pieces?|pcs?|portions?|p)\\.?'
const COUNT_LAST = new RegExp(`^(.+?)[\\s,;:/]+(?:for\\s+|of\\s+|=\\s*|×\\s*|x\\s*)?(\\d{1,5})\\s*${PIECES}$`, 'i')
const COUNT_FIRST = new RegExp(`^(\\d{1,5})\\s*${PIECES}[\\s,;:=]*(?:of\\s+|in\\s+)?(.+)$`, 'i')

/**
 * Reads a weight with the number of pieces that it is of, as cooks type it: `1.6 kg, 12 pieces`, `12 pcs 3 lb 8 oz`;
 * without one it is as `parseWeight` reads it. The weight is that of all of them, grams; a count is at least 1.
 */
export function parseCountedWeight(text: string, bareUnit: WeightUnit): CountedWeightResult {
  const trimmed = text.trim()
  const last = COUNT_LAST.exec(trimmed)
  const first = last ? null : COUNT_FIRST.exec(trimmed)
  const [weight, count] = last ? [last[1], last[2]] : first ? [first[2], first[1]] : [trimmed, undefined]
  const result = parseWeight(weight as string, bareUnit)
  if (!result.ok) return result
  if (count === undefined) return { ...result, pieces: null }
  return Number(count) > 0 ? { ...result, pieces: Number(count) } : { ok: false, code: 'not-a-weight' }
}
