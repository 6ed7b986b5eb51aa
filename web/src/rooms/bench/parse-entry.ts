import { parseWeight, type WeightUnit } from '@fleam/core'

export type EntryResult = { ok: true; grams: number[] } | { ok: false; refused: string }

/** What separates weights written in one line: spaces, semicolons, line ends and plus signs. */
const SEPARATORS = /[;\n+]+|\s{1,}(?=\d)/

/**
 * Weights as they stand in one box of a card: `281 276 290`, `1,2 kg + 840`. A number followed by pounds
 * and ounces is one weight. Says which part is none.
 */
export function parseEntry(text: string, bareUnit: WeightUnit): EntryResult {
  const grams: number[] = []
  const whole = parseWeight(text, bareUnit)
  if (whole.ok && /[a-z]/i.test(text))
    return whole.grams > 0 ? { ok: true, grams: [whole.grams] } : { ok: false, refused: text.trim() }
  for (const part of text.split(SEPARATORS).map((each) => each.trim())) {
    if (part === '') continue
    const result = parseWeight(part, bareUnit)
    if (!result.ok || result.grams === 0) return { ok: false, refused: part }
    grams.push(result.grams)
  }
  return { ok: true, grams }
}
