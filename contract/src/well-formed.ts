/**
 * Where half a character stands, which no column and no file can keep, as a path such as `piles[2].name`; null where all
 * text is whole.
 */
export function brokenText(value: unknown, path = ''): string | null {
  if (typeof value === 'string') return isWellFormed(value) ? null : path
  if (value === null || typeof value !== 'object') return null
  for (const [key, part] of Object.entries(value)) {
    const inner = Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`
    const found = !isWellFormed(key) ? path : brokenText(part, inner)
    if (found !== null) return found
  }
  return null
}
/** Looked through by the engine itself; the language's own types do not know of it yet. */
const isWellFormed = (text: string) => (text as unknown as { isWellFormed: () => boolean }).isWellFormed()

export const HALF_A_CHARACTER = 'holds half a character'
