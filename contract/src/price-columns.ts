import { z } from 'zod'
import { ARTICLE_KINDS } from './buying.ts'
import { day, name } from './numbers.ts'

/** What a column of a price list may hold, with the header that the template has for it. */
export const PRICE_COLUMNS = {
  supplier: 'supplier',
  code: 'article number',
  name: 'article',
  kind: 'whole or ready',
  item: 'item',
  product: 'product',
  amount: 'price',
  per: 'unit',
  pieceWeight: 'piece weight',
  packPieces: 'pieces in a pack',
  packWeight: 'pack weight',
  usableShare: 'usable share',
  handlingMinutesPerPiece: 'handling minutes a piece',
  delivery: 'delivery charge',
  minimumOrder: 'minimum order',
  from: 'valid from',
  until: 'valid until',
} as const
export type PriceColumn = keyof typeof PRICE_COLUMNS
export const PRICE_COLUMN_NAMES = Object.keys(PRICE_COLUMNS) as PriceColumn[]

/** Other words that suppliers head their columns with. */
const ALSO: Partial<Record<PriceColumn, readonly string[]>> = {
  supplier: ['vendor', 'seller'],
  code: ['number', 'code', 'sku', 'no', 'art no', 'article no', 'item number'],
  name: ['name', 'description', 'text', 'article name'],
  kind: ['kind', 'type'],
  product: ['replaces'],
  amount: ['amount', 'net price', 'unit price', 'list price'],
  per: ['per', 'price unit', 'uom'],
  pieceWeight: ['weight of a piece', 'piece', 'unit weight'],
  packPieces: ['pieces', 'pack', 'case size', 'count'],
  packWeight: ['case weight', 'weight', 'net weight'],
  usableShare: ['usable'],
  handlingMinutesPerPiece: ['handling'],
  delivery: ['delivery', 'freight'],
  minimumOrder: ['minimum', 'least order'],
  from: ['from', 'start', 'date', 'valid'],
  until: ['until', 'to', 'end', 'valid to'],
}

/** Which column is which, and what holds for every row where a column is missing. */
export const priceMapping = z
  .strictObject({
    /** Header of the column that holds each; null or absent for none. */
    columns: z.partialRecord(
      z.enum(PRICE_COLUMN_NAMES as [PriceColumn, ...PriceColumn[]]),
      z.string().max(200).nullable(),
    ),
    supplier: name.nullable().default(null),
    kind: z.enum(ARTICLE_KINDS).default('whole'),
    from: day,
    /** The mark before decimals; `auto` reads each number by itself. */
    decimal: z.enum(['auto', '.', ',']).default('auto'),
  })
  .meta({ id: 'PriceMapping' })
export type PriceMapping = z.infer<typeof priceMapping>

const plain = (header: string) =>
  header
    .toLowerCase()
    .replace(/\(.*?\)/g, '')
    .replace(/[^a-z]+/g, ' ')
    .trim()

/** The mapping that the headers suggest: the template's own words, then others that suppliers use. */
export function guessMapping(headers: readonly string[], from: string): PriceMapping {
  const found: Partial<Record<PriceColumn, string>> = {}
  const isFree = (header: string) => !Object.values(found).includes(header)
  const take = (column: PriceColumn, words: readonly string[]) => {
    const header = headers.find((each) => isFree(each) && words.includes(plain(each)))
    if (header !== undefined && found[column] === undefined) found[column] = header
  }
  for (const column of PRICE_COLUMN_NAMES) take(column, [PRICE_COLUMNS[column]])
  for (const column of PRICE_COLUMN_NAMES) take(column, ALSO[column] ?? [])
  return { columns: found, supplier: null, kind: 'whole', from, decimal: 'auto' }
}
