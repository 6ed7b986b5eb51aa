import { parseWeight, type WeightUnit } from './weight.ts'

/** Weights of one box with their sum, grams; or the part of the text that is no weight. */
export type WeightListResult = { ok: true; grams: number[]; total: number } | { ok: false; refused: string }

/** What separates weights written in one line: spaces before a digit, semicolons, line ends and plus signs. */
const SEPARATORS = /[;\n+]+|\s+(?=\d)/

/**
 * Weights as they stand in one box of a card: `281 276 290`, `1,2 kg + 840`. Bare numbers are in `bareUnit`.
 * A number of pounds followed by one of ounces is one weight. Nothing written is an empty list.
 */
export function parseWeights(text: string, bareUnit: WeightUnit): WeightListResult {
  const whole = parseWeight(text, bareUnit)
  const isOne = whole.ok && /[a-z]/i.test(text)
  const grams: number[] = []
  for (const part of isOne ? [text] : text.split(SEPARATORS)) {
    const written = part.trim()
    if (written === '') continue
    const result = parseWeight(written, bareUnit)
    if (!result.ok || result.grams === 0) return { ok: false, refused: written }
    grams.push(result.grams)
  }
  return { ok: true, grams, total: grams.reduce((sum, weight) => sum + weight, 0) }
}
