import type { Day } from '../calendar/index.ts'
import { hasRightCheckDigit } from './check-digit.ts'
import { type ElementKind, type FoundIdentifier, identifierAt } from './identifiers.ts'

/** One element of a label: what it is, and its value as it stands there. */
export interface LabelElement {
  kind: ElementKind
  /** The identifier, such as `3102`. */
  code: string
  text: string
  /** Number with its decimals; null for text and dates. */
  number: number | null
  day: Day | null
  /** Where it stands in what was scanned, from 0. */
  at: number
}

export type LabelIssueCode =
  | 'empty'
  | 'unknown-identifier'
  | 'cut-off'
  | 'too-long'
  | 'bad-check-digit'
  | 'not-digits'
  | 'bad-date'
  | 'bad-currency'
  | 'said-twice'
  | 'bad-character'
  | 'weights-differ'
  | 'dates-crossed'

/** Why a label cannot be read: which element, and where it stands in what was scanned, from 0. */
export interface LabelIssue {
  code: LabelIssueCode
  identifier: string
  at: number
}

export type ElementsResult = { ok: true; elements: LabelElement[] } | { ok: false; issue: LabelIssue }

/** What a scanner sends between elements of unfixed length. */
const SEPARATOR = '\u001d'
/** What a scanner may send first, to tell what it read. */
const SYMBOL_PREFIX = /^\](?:C1|e0|d2|Q3|J1)/
/** What the text of a label may be made of: no blank, no `|`, no `^`, nothing that is not printed. */
const LABEL_CHARACTERS = /^[!"%&'()*+,\-./0-9:;<=>?A-Z_a-z]*$/
/** A year of two digits lies at most so many years ahead; beyond that it is of the century before. */
const YEARS_AHEAD = 50

/**
 * Reads the element strings of a case label as a scanner types them (one string, a separator after what
 * has no fixed length) or as people copy them, with brackets round each identifier. `today` places the
 * years, of which labels have two digits. A label that cannot be read whole is refused: half of it would
 * be a wrong weight or a wrong lot.
 */
export function readElements(scanned: string, today: Day): ElementsResult {
  const text = scanned.trim().replace(SYMBOL_PREFIX, '')
  if (text === '') return refuse('empty', '', 0)
  const parts = text.startsWith('(') ? bracketedParts(text) : runningParts(text)
  if ('code' in parts) return { ok: false, issue: parts }
  const elements: LabelElement[] = []
  for (const part of parts) {
    const element = elementOf(part, today)
    if (!('kind' in element)) return { ok: false, issue: element }
    const before = elements.find(
      (labelElement) => labelElement.code === element.code && labelElement.text !== element.text,
    )
    if (before) return refuse('said-twice', element.code, part.at)
    elements.push(element)
  }
  return { ok: true, elements }
}

interface Part {
  identifier: FoundIdentifier
  value: string
  at: number
}

const refuse = (code: LabelIssueCode, identifier: string, at: number): { ok: false; issue: LabelIssue } => ({
  ok: false,
  issue: { code, identifier, at },
})

/** Elements one behind the other: those of fixed length by their length, the others up to a separator. */
function runningParts(text: string): Part[] | LabelIssue {
  const parts: Part[] = []
  let at = 0
  while (at < text.length) {
    if (text[at] === SEPARATOR) {
      at++
      continue
    }
    const identifier = identifierAt(text.slice(at, at + 4))
    if (!identifier) return { code: 'unknown-identifier', identifier: text.slice(at, at + 4), at }
    const from = at + identifier.code.length
    const separator = text.indexOf(SEPARATOR, from)
    const end = separator < 0 ? text.length : separator
    const to = identifier.isVariable ? end : Math.min(end, from + identifier.length)
    parts.push({ identifier, value: text.slice(from, to), at })
    at = to
  }
  return parts
}

/** Elements as people write them: `(01)…(3102)…`. */
function bracketedParts(text: string): Part[] | LabelIssue {
  const parts: Part[] = []
  for (const found of text.matchAll(/\((\d*)\)?([^(]*)/g)) {
    const [whole, code = '', rest = ''] = found
    const at = found.index
    const identifier = identifierAt(code)
    if (!whole.includes(')')) return { code: 'cut-off', identifier: code, at }
    if (identifier?.code !== code) return { code: 'unknown-identifier', identifier: code, at }
    parts.push({ identifier, value: rest.replace(SEPARATOR, '').trim(), at })
  }
  return parts
}

function elementOf({ identifier, value, at }: Part, today: Day): LabelElement | LabelIssue {
  const issue = (code: LabelIssueCode): LabelIssue => ({ code, identifier: identifier.code, at })
  if (value === '' || (!identifier.isVariable && value.length < identifier.length)) return issue('cut-off')
  if (value.length > identifier.length) return issue('too-long')
  const element: LabelElement = {
    kind: identifier.kind,
    code: identifier.code,
    text: value,
    number: null,
    day: null,
    at,
  }
  if (!LABEL_CHARACTERS.test(value)) return issue('bad-character')
  if (identifier.format === 'text') return element
  if (!/^\d+$/.test(value)) return issue('not-digits')
  if (identifier.format === 'digits-checked') return hasRightCheckDigit(value) ? element : issue('bad-check-digit')
  if (identifier.format === 'date') {
    const day = dayOf(value, today)
    return day === null ? issue('bad-date') : { ...element, day }
  }
  const digits = identifier.kind === 'price-with-currency' ? value.slice(3) : value
  if (digits === '') return issue('bad-currency')
  return { ...element, number: Number(digits) / 10 ** (identifier.decimals ?? 0) }
}

/** A day of a label: two digits each of year, month and day; day 00 is the last of the month. */
function dayOf(value: string, today: Day): Day | null {
  const [years = 0, month = 0, date = 0] = [value.slice(0, 2), value.slice(2, 4), value.slice(4, 6)].map(Number)
  const thisYear = Number(today.slice(0, 4))
  const century = Math.floor(thisYear / 100) * 100
  const ahead = century + years - thisYear
  const year = century + years + (ahead > YEARS_AHEAD ? -100 : ahead < YEARS_AHEAD - 99 ? 100 : 0)
  if (month < 1 || month > 12) return null
  const last = new Date(Date.UTC(year, month, 0)).getUTCDate()
  if (date > last) return null
  return `${year}-${String(month).padStart(2, '0')}-${String(date === 0 ? last : date).padStart(2, '0')}`
}
