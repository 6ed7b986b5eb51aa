export type DecodedText = { ok: true; text: string; encoding: string } | { ok: false; why: 'binary' }

/** Files of kitchens that are not UTF-8 come from older spreadsheets of western Europe. */
const FALLBACK = 'windows-1252'

/**
 * Bytes of a text file as text: UTF-16 by its mark, else UTF-8, else what older spreadsheets write. Says
 * which, so that a reader can look whether the letters are right. What is no text is refused.
 */
export function decodeText(bytes: Uint8Array): DecodedText {
  const [first, second] = bytes
  if (first === 0xff && second === 0xfe) return { ok: true, ...decoded(bytes, 'utf-16le') }
  if (first === 0xfe && second === 0xff) return { ok: true, ...decoded(bytes, 'utf-16be') }
  if (bytes.includes(0)) return { ok: false, why: 'binary' }
  try {
    return { ok: true, text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' }
  } catch {
    return { ok: true, ...decoded(bytes, FALLBACK) }
  }
}

const decoded = (bytes: Uint8Array, encoding: string) => ({ text: new TextDecoder(encoding).decode(bytes), encoding })
