import { z } from 'zod'
import { parseDay } from '../calendar/index.ts'
import { fromInert } from '../csv/index.ts'
import type { PriceUnit } from '../fabrication/index.ts'
import { LIGHTEST_GRAMS, MAX_MINUTES, MAX_MONEY, SMALLEST_QUANTITY } from '../limits/index.ts'
import { parseNumber, parseWeight, type WeightUnit, withoutGroups } from '../units/index.ts'
import { ARTICLE_KINDS, type PriceListLine } from './article.ts'
import { PRICE_COLUMNS, type PriceColumn, type PriceMapping } from './columns.ts'

const PRICE_ISSUE_CODES = [
  'unreadable',
  'too-many-columns',
  'too-many-rows',
  'header-twice',
  'no-such-column',
  'column-missing',
  'no-rows',
  'empty',
  'too-long',
  'wrong-encoding',
  'formula',
  'not-a-number',
  'negative',
  'out-of-range',
  'other-currency',
  'unknown-unit',
  'unknown-kind',
  'unknown-item',
  'unknown-product',
  'not-a-weight',
  'not-a-date',
  'ends-before',
  'overlap',
] as const
export type PriceIssueCode = (typeof PRICE_ISSUE_CODES)[number]

/** What is wrong with a cell: its row as a spreadsheet counts them (the header is row 1), its column, what stands there. */
export const priceIssue = z
  .strictObject({ row: z.int(), column: z.string(), code: z.enum(PRICE_ISSUE_CODES), cell: z.string() })
  .meta({ id: 'PriceIssue' })
export type PriceIssue = z.infer<typeof priceIssue>

export interface PriceListContext {
  currency: string
  /** The unit that a bare weight is in. */
  bareUnit: WeightUnit
  /** Names of items and products that a row may be tied to. */
  items: ReadonlySet<string>
  products: ReadonlySet<string>
}

const MAX_CHARACTERS = 120

const UNITS: ReadonlyMap<string, PriceUnit> = new Map(
  Object.entries({
    kg: 'kg',
    kilo: 'kg',
    kilogram: 'kg',
    lb: 'lb',
    lbs: 'lb',
    pound: 'lb',
    piece: 'piece',
    pieces: 'piece',
    pc: 'piece',
    pcs: 'piece',
    each: 'piece',
    ea: 'piece',
    case: 'case',
    box: 'case',
    carton: 'case',
    lot: 'lot',
  } as const),
)

const SIGNS: ReadonlyMap<string, string> = new Map([
  ['€', 'EUR'],
  ['$', 'USD'],
  ['£', 'GBP'],
  ['Fr', 'CHF'],
])
const SIGN = /€|\$|£|Fr\.?|\b[A-Z]{3}\b/g
/** What a spreadsheet would run; our own export puts an apostrophe before it. */
const FORMULA = /^[=+\-@＝＋－＠\t\r]/

/** Reads the cells of one row, gathering what is wrong with them. */
export class RowReader {
  readonly issues: PriceIssue[] = []
  readonly #cells: readonly string[]
  readonly #row: number
  readonly #at: Partial<Record<PriceColumn, number>>
  readonly #mapping: PriceMapping
  readonly #context: PriceListContext

  constructor(
    cells: readonly string[],
    row: number,
    at: Partial<Record<PriceColumn, number>>,
    mapping: PriceMapping,
    context: PriceListContext,
  ) {
    this.#cells = cells
    this.#row = row
    this.#at = at
    this.#mapping = mapping
    this.#context = context
  }

  line(): PriceListLine {
    const from = this.#day('from') ?? this.#mapping.from
    const until = this.#day('until')
    if (until !== null && until < from) this.#refuse('until', 'ends-before')
    const name = this.#text('name', true) ?? ''
    return {
      supplier: this.#text('supplier', this.#mapping.supplier === null) ?? this.#mapping.supplier ?? '',
      code: this.#text('code') ?? name,
      name,
      kind: this.#kind(),
      item: this.#known('item', this.#context.items, 'unknown-item'),
      product: this.#known('product', this.#context.products, 'unknown-product'),
      price: { amount: this.#number('amount', true) ?? 0, per: this.#unit() },
      pieceWeight: this.#weight('pieceWeight'),
      packPieces: this.#count('packPieces'),
      packWeight: this.#weight('packWeight'),
      usableShare: this.#share('usableShare'),
      handlingMinutesPerPiece: this.#number('handlingMinutesPerPiece', false, MAX_MINUTES),
      delivery: this.#number('delivery'),
      minimumOrder: this.#number('minimumOrder'),
      from,
      until,
    }
  }

  #cell(column: PriceColumn): string {
    const place = this.#at[column]
    return place === undefined ? '' : (this.#cells[place] ?? '').trim()
  }

  #refuse(column: PriceColumn, code: PriceIssueCode): null {
    const header = this.#mapping.columns[column] ?? PRICE_COLUMNS[column]
    this.issues.push({ row: this.#row, column: header, code, cell: this.#cell(column).slice(0, MAX_CHARACTERS) })
    return null
  }

  #text(column: PriceColumn, isNeeded = false): string | null {
    const cell = this.#cell(column)
    if (cell === '') return isNeeded ? this.#refuse(column, 'empty') : null
    if (cell.includes('\ufffd')) return this.#refuse(column, 'wrong-encoding')
    if (FORMULA.test(cell)) return this.#refuse(column, 'formula')
    const text = fromInert(cell).replace(/\p{Cc}+/gu, ' ')
    return text.length > MAX_CHARACTERS ? this.#refuse(column, 'too-long') : text
  }

  #number(column: PriceColumn, isNeeded = false, most = MAX_MONEY): number | null {
    const cell = this.#cell(column)
    if (cell === '') return isNeeded ? this.#refuse(column, 'empty') : null
    const signs = [...cell.matchAll(SIGN)].map(([sign]) => SIGNS.get(sign.replace('.', '')) ?? sign)
    if (signs.some((sign) => sign !== this.#context.currency)) return this.#refuse(column, 'other-currency')
    const value = numberOf(cell.replace(SIGN, '').trim(), this.#mapping.decimal)
    if (value === null)
      return this.#refuse(column, FORMULA.test(cell) && !/^-\s*\d/.test(cell) ? 'formula' : 'not-a-number')
    if (value < 0) return this.#refuse(column, 'negative')
    return value > most ? this.#refuse(column, 'out-of-range') : value
  }

  #count(column: PriceColumn): number | null {
    const value = this.#number(column)
    return value !== null && (!Number.isInteger(value) || value < 1 || value > 1_000_000)
      ? this.#refuse(column, 'out-of-range')
      : value
  }

  #share(column: PriceColumn): number | null {
    const cell = this.#cell(column)
    if (cell === '') return null
    const value = numberOf(cell.replace('%', '').trim(), this.#mapping.decimal)
    if (value === null) return this.#refuse(column, 'not-a-number')
    // A usable share above one is a percentage.
    const share = cell.includes('%') || value > 1 ? value / 100 : value
    return share >= SMALLEST_QUANTITY && share <= 1 ? share : this.#refuse(column, 'out-of-range')
  }

  #weight(column: PriceColumn): number | null {
    const cell = this.#cell(column)
    if (cell === '') return null
    const result = parseWeight(cell, this.#context.bareUnit)
    return result.ok && result.grams >= LIGHTEST_GRAMS ? result.grams : this.#refuse(column, 'not-a-weight')
  }

  #day(column: PriceColumn): string | null {
    const cell = this.#cell(column)
    return cell === '' ? null : (readDay(cell) ?? this.#refuse(column, 'not-a-date'))
  }

  #unit(): PriceUnit {
    const cell = this.#cell('per')
    const word = cell
      .toLowerCase()
      .replace(/^(?:per|a|\/)\s*/, '')
      .replace(/\.$/, '')
    const unit = UNITS.get(word)
    if (unit) return unit
    this.#refuse('per', cell === '' ? 'empty' : 'unknown-unit')
    return 'kg'
  }

  #kind(): PriceListLine['kind'] {
    const cell = this.#cell('kind').toLowerCase()
    const kind = cell === '' ? this.#mapping.kind : ARTICLE_KINDS.find((articleKind) => articleKind === cell)
    if (kind) return kind
    this.#refuse('kind', 'unknown-kind')
    return 'whole'
  }

  #known(column: 'item' | 'product', names: ReadonlySet<string>, code: PriceIssueCode): string | null {
    const cell = fromInert(this.#cell(column))
    if (cell === '') return null
    return names.has(cell) ? cell : this.#refuse(column, code)
  }
}

/** So many different days are remembered; a list seldom has more than a few. */
const MAX_DAYS = 1000
const knownDays = new Map<string, string | null>()

/** A day as it was read before: the rows of a list say the same few days, and reading one is slow. */
function readDay(text: string): string | null {
  const known = knownDays.get(text)
  if (known !== undefined) return known
  if (knownDays.size >= MAX_DAYS) knownDays.clear()
  const day = parseDay(text)
  knownDays.set(text, day)
  return day
}

/** A number with the decimal mark that the mapping says; marks between thousands are passed over. */
export function numberOf(text: string, decimal: PriceMapping['decimal']): number | null {
  if (decimal === 'auto') return parseNumber(text)
  const thousands = decimal === ',' ? '.' : ','
  const compact = withoutGroups(text)
  if (compact === null) return null
  const groups = new RegExp(`^-?\\d{1,3}(?:\\${thousands}\\d{3})+(?:\\${decimal}\\d+)?$`)
  const simple = new RegExp(`^-?\\d*(?:\\${decimal}\\d+)?$`)
  if (!(groups.test(compact) || simple.test(compact)) || !/\d/.test(compact)) return null
  return Number(compact.replaceAll(thousands, '').replace(decimal, '.'))
}
