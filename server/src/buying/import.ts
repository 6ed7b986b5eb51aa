import { randomBytes } from 'node:crypto'
import { overlaps } from '@fleam/core/buying'
import type { ArticlePrice, NumberedLine, PriceIssue } from '@fleam/core/price-lists'
import { PRICE_COLUMNS, type PriceMapping } from '@fleam/core/price-lists'
import { v7 as newId } from 'uuid'
import { Refusal } from '../http/index.ts'
import { decide, insertMany, ofKitchen, type Scope, within } from '../scope/index.ts'
import { type ArticleFields, articleColumns, rowOfPrice } from './rows.ts'
import * as store from './store.ts'

/** Rows that are compared at once: enough to be quick, few enough that no weighing waits for them. */
const CHUNK = 250

export interface ImportResult {
  rows: number
  newArticles: number
  changedArticles: number
  newPrices: number
  /** Rows that the price book has already, to the letter. */
  known: number
  /** What is wrong with rows that were not taken; none where every row had to be right. */
  skipped: PriceIssue[]
}

/** A line of a price list whose names have been resolved. */
export type TiedLine = Omit<NumberedLine, 'supplier' | 'item' | 'product'> & {
  supplierId: string
  itemId: string | null
  productId: string | null
}

export interface ImportOptions {
  lines: readonly TiedLine[]
  mapping: PriceMapping
  source: ArticlePrice['source']
  /** `good` leaves out a row that contradicts the book; otherwise it takes all of it back. */
  takes?: 'all' | 'good'
  /** Told how many of all rows are done. */
  onProgress?: (done: number, of: number) => void
  /** Asked between statements: a reader that has gone away wants nothing any more. */
  isCancelled?: () => boolean
}

interface KnownArticle extends ArticleFields {
  id: string
  supplierId: string
  code: string
}

/** What an import knows of the price book, and what it has added: nothing is asked for twice. */
interface KnownBook {
  /** By supplier and number. */
  articles: Map<string, KnownArticle>
  /** By article, as far as rows of the list have come to it. */
  prices: Map<string, PriceSaid[]>
}

const keyOf = ({ supplierId, code }: { supplierId: string; code: string }) => `${supplierId}\n${code}`

/**
 * Takes a price list into the price book: all of it or nothing, or only what does not contradict it. An article is known by its supplier and
 * number; a price that is there to the letter is left; one that contradicts another is refused by row.
 */
export async function importLines(scope: Scope, options: ImportOptions): Promise<ImportResult> {
  const { lines, onProgress = () => {} } = options
  // Two at once would each miss the other's articles.
  return decide(scope, 'prices', async (inside) => {
    const articles = (await store.allArticles(inside)).map((allArticle): [string, KnownArticle] => [
      keyOf(allArticle),
      allArticle,
    ])
    const book: KnownBook = { articles: new Map(articles), prices: new Map() }
    const counts = { newArticles: 0, changedArticles: 0, newPrices: 0, known: 0 }
    const result: ImportResult = { rows: lines.length, ...counts, skipped: [] }
    let storing = Promise.resolve()
    try {
      for (let from = 0; from < lines.length; from += CHUNK) {
        if (options.isCancelled?.()) throw new Refusal('cancelled', 'The import was broken off.')
        const chunk = { ...options, lines: lines.slice(from, from + CHUNK) }
        // While one chunk is stored the next one is compared.
        const fresh = await newRowsOf(inside, chunk, book, result)
        await storing
        storing = storeRows(inside, fresh).then(() => onProgress(from + chunk.lines.length, lines.length))
        // What fails is thrown where it is waited for; until then nobody listens.
        storing.catch(() => {})
      }
      await storing
    } finally {
      // Nothing may be under way any more when what was done is taken back.
      await storing.catch(() => {})
    }
    return result
  })
}

interface NewRows {
  articles: KnownArticle[]
  /** Articles that were there, also of the rows before, and say something else now. */
  changed: KnownArticle[]
  prices: { articleId: string; price: Omit<ArticlePrice, 'recordedAt'> }[]
}

async function storeRows(scope: Scope, { articles, changed, prices }: NewRows): Promise<void> {
  const { id: kitchenId } = scope.kitchen
  const recordedAt = scope.clock.now().toISOString()
  await insertMany(
    scope,
    'Article',
    articles.map((article) => ({ ...article, kitchenId })),
  )
  for (const article of changed) {
    const where = ofKitchen(scope, { id: article.id })
    await scope.database.models.Article.update(articleColumns(article), { where, ...within(scope) })
  }
  await insertMany(
    scope,
    'ArticlePrice',
    prices.map(({ articleId, price }) => rowOfPrice(kitchenId, articleId, { ...price, recordedAt })),
  )
}

/** What of some lines is not in the book yet, or says something else. */
async function newRowsOf(
  scope: Scope,
  { lines, mapping, source, takes = 'all' }: ImportOptions,
  { articles: known, prices }: KnownBook,
  result: ImportResult,
): Promise<NewRows> {
  const nextId = idsFor(2 * lines.length)
  const ids = new Set(lines.flatMap((line) => known.get(keyOf(line))?.id ?? []))
  const unread = [...ids].filter((id) => !prices.has(id))
  for (const [id, read] of await store.pricesOf(scope, unread)) prices.set(id, read)
  for (const id of unread) if (!prices.has(id)) prices.set(id, [])
  const newArticles = new Map<string, KnownArticle>()
  const changedArticles: KnownArticle[] = []
  const newPrices: NewRows['prices'] = []
  const issues: PriceIssue[] = []
  for (const line of lines) {
    const before = known.get(keyOf(line))
    const article = articleOf(line, before?.id ?? nextId())
    const there = prices.get(article.id) ?? []
    const isKnown = there.some((entry) => isSamePriceSaid(entry, line))
    if (!isKnown && there.some((entry) => overlaps(entry, line))) {
      const column = mapping.columns.from ?? PRICE_COLUMNS.from
      issues.push({ row: line.row, column, code: 'overlap', cell: line.from })
      continue
    }
    prices.set(article.id, there)
    if (!before || newArticles.has(article.id)) newArticles.set(article.id, article)
    else if (!isSame(articleColumns(before), articleColumns(article))) {
      changedArticles.push(article)
    }
    known.set(keyOf(line), article)
    if (isKnown) {
      result.known++
      continue
    }
    const price = { id: nextId(), source, ...priceOf(line) }
    newPrices.push({ articleId: article.id, price })
    there.push(price)
  }
  if (issues.length > 0 && takes === 'all') throw refuseRows(issues)
  result.skipped.push(...issues)
  result.newArticles += newArticles.size
  result.changedArticles += changedArticles.length
  result.newPrices += newPrices.length
  return { articles: [...newArticles.values()], changed: changedArticles, prices: newPrices }
}

const ID_BYTES = 16

/** Gives up to so many new ids, one after the other: asking the system for chance once for each of thousands is slow. */
function idsFor(most: number): () => string {
  const random = randomBytes(most * ID_BYTES)
  let given = 0
  return () => newId({ random: random.subarray(given * ID_BYTES, ++given * ID_BYTES) })
}

const articleOf = ({ supplierId, code, ...line }: TiedLine, id: string): KnownArticle => ({
  id,
  supplierId,
  code,
  ...articleColumns(line),
})

/** What a price says, without who said it and when. */
const priceOf = ({
  price,
  pieceWeight,
  packPieces,
  packWeight,
  delivery,
  minimumOrder,
  from,
  until,
}: Omit<ArticlePrice, 'id' | 'source' | 'recordedAt'>) => ({
  price: { amount: price.amount, per: price.per },
  pieceWeight,
  packPieces,
  packWeight,
  delivery,
  minimumOrder,
  from,
  until,
})

const isSame = (a: object, b: object) => JSON.stringify(a) === JSON.stringify(b)

type PriceSaid = ReturnType<typeof priceOf>

/** True where two prices say the same, field by field: a long list compares each row with every price before it. */
const isSamePriceSaid = (a: PriceSaid, b: PriceSaid): boolean =>
  a.price.amount === b.price.amount &&
  a.price.per === b.price.per &&
  a.pieceWeight === b.pieceWeight &&
  a.packPieces === b.packPieces &&
  a.packWeight === b.packWeight &&
  a.delivery === b.delivery &&
  a.minimumOrder === b.minimumOrder &&
  a.from === b.from &&
  a.until === b.until

/** A refusal of a price list, with every row that is wrong. */
export function refuseRows(issues: readonly PriceIssue[]): Refusal {
  const count = new Set(issues.map((issue) => issue.row)).size
  return new Refusal('price-list-wrong', `${count} ${count === 1 ? 'row is' : 'rows are'} not right.`, {
    issues: issues.map(({ row, column, code, cell }) => ({
      path: `row ${row}${column === '' ? '' : `, ${column}`}`,
      message: `${code}${cell === '' ? '' : `: ${cell}`}`,
    })),
    kept: 'Nothing of the list was taken in.',
    current: issues,
  })
}
