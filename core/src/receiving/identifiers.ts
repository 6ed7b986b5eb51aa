/** What an element string says, by the number that stands before it. */
export type ElementKind =
  | 'serial-container'
  | 'gtin'
  | 'contained-gtin'
  | 'lot'
  | 'production-date'
  | 'packaging-date'
  | 'best-before'
  | 'use-by'
  | 'serial'
  | 'count'
  | 'net-kilograms'
  | 'net-pounds'
  | 'price'
  | 'price-with-currency'
  | 'unread'

export interface Identifier {
  kind: ElementKind
  /** How its value is written. */
  format: 'digits-checked' | 'digits' | 'date' | 'text'
  /** Characters of the value; the most of them where it may be shorter. */
  length: number
  /** Shorter values are ended by a separator. */
  isVariable: boolean
  /** Digits after the decimal point, where the identifier's own last digit says so. */
  decimals: number | null
}

const fixed = (kind: ElementKind, format: Identifier['format'], length: number): Identifier => ({
  kind,
  format,
  length,
  isVariable: false,
  decimals: null,
})
const variable = (kind: ElementKind, format: Identifier['format'], length: number): Identifier => ({
  ...fixed(kind, format, length),
  isVariable: true,
})

const TWO_DIGITS: Readonly<Record<string, Identifier>> = {
  '00': fixed('serial-container', 'digits-checked', 18),
  '01': fixed('gtin', 'digits-checked', 14),
  '02': fixed('contained-gtin', 'digits-checked', 14),
  '10': variable('lot', 'text', 20),
  '11': fixed('production-date', 'date', 6),
  '13': fixed('packaging-date', 'date', 6),
  '15': fixed('best-before', 'date', 6),
  '16': fixed('unread', 'date', 6),
  '17': fixed('use-by', 'date', 6),
  '20': fixed('unread', 'digits', 2),
  '21': variable('serial', 'text', 20),
  '30': variable('count', 'digits', 8),
  '37': variable('count', 'digits', 8),
}

/** Identifiers of four digits whose last one tells the decimals. */
const WITH_DECIMALS: readonly { prefix: string; identifier: Identifier }[] = [
  { prefix: '310', identifier: fixed('net-kilograms', 'digits', 6) },
  { prefix: '320', identifier: fixed('net-pounds', 'digits', 6) },
  { prefix: '392', identifier: variable('price', 'digits', 15) },
  { prefix: '393', identifier: variable('price-with-currency', 'digits', 18) },
  // Other measures and amounts: their length is known, so what comes after them can be read.
  ...['311', '312', '313', '314', '315', '316', '330', '331', '332', '333', '334', '335', '336', '356', '357'].map(
    (prefix) => ({ prefix, identifier: fixed('unread', 'digits', 6) }),
  ),
  { prefix: '390', identifier: variable('unread', 'digits', 15) },
  { prefix: '391', identifier: variable('unread', 'digits', 18) },
]

/** Identifiers that are passed over: a separator ends them. */
const PASSED_OVER = /^(22|24[0-3]|25[0-5]|4\d\d|42\d|70\d\d|71\d|72\d\d|80\d\d|81\d\d|82\d\d|9\d)/
const PASSED_LENGTH = 90

export interface FoundIdentifier extends Identifier {
  /** The identifier as it stands in the string. */
  code: string
}

/** The identifier at the beginning of a string; null where none is known there. */
export function identifierAt(text: string): FoundIdentifier | null {
  const two = TWO_DIGITS[text.slice(0, 2)]
  if (two) return { ...two, code: text.slice(0, 2) }
  const decimal = WITH_DECIMALS.find(({ prefix }) => text.startsWith(prefix))
  const digit = text[3] ?? ''
  if (decimal && /^\d$/.test(digit)) {
    return { ...decimal.identifier, code: text.slice(0, 4), decimals: Number(digit) }
  }
  const passed = PASSED_OVER.exec(text)?.[0]
  return passed ? { ...variable('unread', 'text', PASSED_LENGTH), code: passed } : null
}
