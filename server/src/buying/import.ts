import {
  type Article,
  type ArticlePrice,
  type NumberedLine,
  PRICE_COLUMNS,
  type PriceIssue,
  type PriceMapping,
} from '@fleam/contract'
import { overlaps } from '@fleam/core'
import type { Sequelize, Transaction } from 'sequelize'
import { v7 as newId } from 'uuid'
import { insertRows, updateRow } from '../database/rows.ts'
import { Refusal } from '../http/problems.ts'
import { articleColumns, articleRow, priceRow } from './rows.ts'
import * as store from './store.ts'

/** Rows of one statement: large enough to be quick, small enough to report progress. */
const CHUNK = 1000

export interface ImportResult {
  rows: number
  newArticles: number
  changedArticles: number
  newPrices: number
  /** Rows that the price book has already, to the letter. */
  known: number
}

export interface ImportOptions {
  lines: readonly NumberedLine[]
  mapping: PriceMapping
  source: ArticlePrice['source']
  now: Date
  /** Told how many of all rows are done. */
  onProgress?: (done: number, of: number) => void
  /** Asked between statements: a reader that has gone away wants nothing any more. */
  isCancelled?: () => boolean
}

const keyOf = ({ supplier, code }: { supplier: string; code: string }) => `${supplier}\n${code}`

/**
 * Takes a price list into the price book: all of it or nothing. An article is known by its supplier and
 * number; a price that is there to the letter is left; one that contradicts another is refused by row.
 */
export async function importLines(
  database: Sequelize,
  kitchenId: string,
  options: ImportOptions,
): Promise<ImportResult> {
  const { lines, onProgress = () => {} } = options
  return database.transaction(async (transaction) => {
    // Two imports at once would each miss the other's articles: they take turns by the kitchen's row.
    await database.query('SELECT id FROM kitchens WHERE id = :kitchenId FOR UPDATE', {
      replacements: { kitchenId },
      transaction,
    })
    await addSuppliers(database, kitchenId, lines, transaction)
    const known = new Map(
      (await store.allArticles(database, kitchenId, transaction)).map((each) => [keyOf(each), each]),
    )
    const result: ImportResult = { rows: lines.length, newArticles: 0, changedArticles: 0, newPrices: 0, known: 0 }
    for (let from = 0; from < lines.length; from += CHUNK) {
      if (options.isCancelled?.()) throw new Refusal('cancelled', 'The import was broken off.')
      const chunk = lines.slice(from, from + CHUNK)
      await importChunk(database, kitchenId, { ...options, lines: chunk }, known, result, transaction)
      onProgress(Math.min(lines.length, from + CHUNK), lines.length)
    }
    return result
  })
}

async function addSuppliers(
  database: Sequelize,
  kitchenId: string,
  lines: readonly NumberedLine[],
  transaction: Transaction,
) {
  const there = new Set((await store.suppliers(database, kitchenId, transaction)).map((each) => each.name))
  const missing = [...new Set(lines.map((line) => line.supplier))].filter((name) => !there.has(name))
  const added = missing.map((name) => ({ id: newId(), name, delivery: 0, minimumOrder: null }))
  await store.insertSuppliers(database, kitchenId, added, transaction)
}

async function importChunk(
  database: Sequelize,
  kitchenId: string,
  { lines, mapping, source, now }: ImportOptions,
  known: Map<string, Article>,
  result: ImportResult,
  transaction: Transaction,
): Promise<void> {
  const ids = lines.flatMap((line) => known.get(keyOf(line))?.id ?? [])
  const prices = await store.pricesOf(database, kitchenId, [...new Set(ids)], transaction)
  const newArticles = new Map<string, Article>()
  const newPrices: { articleId: string; price: Omit<ArticlePrice, 'recordedAt'> }[] = []
  const issues: PriceIssue[] = []
  for (const line of lines) {
    const article = articleOf(line, known.get(keyOf(line))?.id ?? newId())
    const before = known.get(keyOf(line))
    if (!before || newArticles.has(article.id)) newArticles.set(article.id, article)
    else if (!isSame(articleColumns(before), articleColumns(article))) {
      await updateRow(database, 'articles', { kitchenId, id: article.id }, articleColumns(article), transaction)
      result.changedArticles++
    }
    known.set(keyOf(line), article)
    const price = { id: newId(), source, ...priceOf(line) }
    const there = prices.get(article.id) ?? []
    if (there.some((each) => isSame(priceOf(each), priceOf(line)))) result.known++
    else if (there.some((each) => overlaps(each, line))) {
      const column = mapping.columns.from ?? PRICE_COLUMNS.from
      issues.push({ row: line.row, column, code: 'overlap', cell: line.from })
    } else {
      newPrices.push({ articleId: article.id, price })
      prices.set(article.id, [...there, { ...price, recordedAt: now.toISOString() }])
    }
  }
  if (issues.length > 0) throw refuseRows(issues)
  await insertRows(
    database,
    'articles',
    [...newArticles.values()].map((each) => articleRow(kitchenId, each.id, each)),
    transaction,
  )
  await insertRows(
    database,
    'article_prices',
    newPrices.map(({ articleId, price }) => priceRow(kitchenId, articleId, price, now)),
    transaction,
  )
  result.newArticles += newArticles.size
  result.newPrices += newPrices.length
}

const articleOf = (line: NumberedLine, id: string): Article => ({
  id,
  supplier: line.supplier,
  code: line.code,
  name: line.name,
  kind: line.kind,
  item: line.item,
  product: line.product,
  usableShare: line.usableShare,
  handlingMinutesPerPiece: line.handlingMinutesPerPiece,
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
