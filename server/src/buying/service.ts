import { setImmediate as nextTurn } from 'node:timers/promises'
import {
  type Article,
  type ArticleRows,
  decodeText,
  type FabricationRecord,
  guessMapping,
  type NumberedLine,
  type PriceAdded,
  type PriceListContext,
  PriceListReading,
  type PriceMapping,
  priceListCsv,
  readTable,
} from '@fleam/contract'
import { documentOf, priceOn } from '@fleam/core'
import { latestOfEachStyle } from '../fabrication/index.ts'
import { notFound, Refusal } from '../http/index.ts'
import { dayOf, inTransaction, type Scope } from '../scope/index.ts'
import { itemNames, products } from '../style/index.ts'
import { requireSupplier, suppliersNamed } from '../supplier/index.ts'
import {
  holdPriceBook,
  type ImportOptions,
  type ImportResult,
  importLines,
  refuseRows,
  type TiedLine,
} from './import.ts'
import { lineOf } from './rows.ts'
import * as store from './store.ts'

/** A page of articles, each with the price of today. */
export async function articles(scope: Scope, wish: store.ArticleSearch): Promise<ArticleRows> {
  const { found, total } = await store.search(scope, wish)
  const day = dayOf(scope)
  const rows = found.map(({ article, prices }) => ({ article, current: priceOn(prices, day), prices: prices.length }))
  return { rows, total }
}

/** An article with its whole history, and the latest record of each style that rests on it. */
export async function articleHistory(scope: Scope, id: string) {
  const found = await store.pricedArticle(scope, id)
  if (!found) throw notFound('article')
  const states = await latestOfEachStyle(scope)
  return {
    ...found,
    records: states
      .filter(({ record }) => restsOn(record, found.article))
      .map(({ record, facts }) => ({ id: record.id, document: documentOf(record, facts) })),
  }
}

const restsOn = (record: FabricationRecord, article: Article): boolean =>
  article.kind === 'whole'
    ? article.itemId !== null && record.itemId === article.itemId && record.supplierId === article.supplierId
    : record.offers.some((offer) => offer.articleId === article.id)

interface KnownNames {
  items: Map<string, string>
  products: Map<string, string>
}

/** Items and products by the names that a price list may tie a row to. */
async function knownNames(scope: Scope): Promise<KnownNames> {
  const items = new Map([...(await itemNames(scope))].map(([id, name]) => [name, id]))
  return { items, products: new Map((await products(scope)).map(({ id, name }) => [name, id])) }
}

/** What a price list is read against: the kitchen's money, units, items and products. */
const contextOf = ({ kitchen }: Scope, names: KnownNames): PriceListContext => ({
  currency: kitchen.currency,
  bareUnit: kitchen.units === 'metric' ? 'g' : 'lb',
  items: new Set(names.items.keys()),
  products: new Set(names.products.keys()),
})

/** Between so many rows others are served: a long list must not hold up whoever weighs. */
const ROWS_A_TURN = 500

/** Reads a price list whole; refuses it with every row that is wrong. */
export async function readList(scope: Scope, csv: string, mapping: PriceMapping): Promise<NumberedLine[]> {
  const reading = new PriceListReading(csv, mapping, contextOf(scope, await knownNames(scope)))
  while (!reading.isDone) {
    reading.step(ROWS_A_TURN)
    await nextTurn()
  }
  const { lines, issues } = reading.result()
  if (issues.length > 0) throw refuseRows(issues)
  return lines
}

type ListOptions = Omit<ImportOptions, 'lines'> & { lines: readonly NumberedLine[] }

/** Takes a list that was read in: its names are resolved here, once. Suppliers that are new are added. */
export function importList(scope: Scope, { lines, ...options }: ListOptions): Promise<ImportResult> {
  return inTransaction(scope, async (inside) => {
    await holdPriceBook(inside)
    const names = await knownNames(inside)
    const supplierIds = await suppliersNamed(
      inside,
      lines.map((line) => line.supplier),
    )
    const tied = lines.map(
      ({ supplier, item, product, ...line }): TiedLine => ({
        ...line,
        supplierId: supplierIds.get(supplier) as string,
        itemId: item === null ? null : (names.items.get(item) ?? null),
        productId: product === null ? null : (names.products.get(product) ?? null),
      }),
    )
    return importLines(inside, { ...options, lines: tied })
  })
}

/** Adds one price by hand: the same road as a list of one row. */
export async function addPrice(scope: Scope, line: PriceAdded): Promise<ImportResult> {
  await requireSupplier(scope, line.supplierId)
  const refuse = (path: string, message: string) => {
    throw new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
  }
  if (line.itemId !== null && !(await itemNames(scope)).has(line.itemId)) {
    refuse('itemId', 'is not an item of this kitchen')
  }
  if (line.productId !== null && !(await products(scope)).some(({ id }) => id === line.productId)) {
    refuse('productId', 'is not a product of this kitchen')
  }
  if (line.until !== null && line.until < line.from) refuse('until', 'must not be before from')
  const mapping: PriceMapping = { columns: {}, supplier: null, kind: line.kind, from: line.from, decimal: 'auto' }
  return importLines(scope, { lines: [{ ...line, row: 1 }], mapping, source: 'typed' })
}

/** The whole price book as a list that can be imported again. */
export async function exportList(scope: Scope): Promise<string> {
  const all = await store.everything(scope)
  return priceListCsv(all.flatMap(({ article, prices }) => prices.map((price) => lineOf(article, price))))
}

const FEED_TIMEOUT_MS = 8_000

/** Pulls today's list of a price feed and takes it in. */
export async function pullFeed(scope: Scope, address: string | null): Promise<ImportResult> {
  if (address === null) throw new Refusal('feed-away', 'No price feed is set.')
  const csv = await fetchList(address)
  const mapping = guessMapping(readTable(csv, 1).headers, dayOf(scope))
  const lines = await readList(scope, csv, mapping)
  return importList(scope, { lines, mapping, source: 'feed' })
}

async function fetchList(address: string): Promise<string> {
  try {
    const response = await fetch(`${address}/prices.csv`, { signal: AbortSignal.timeout(FEED_TIMEOUT_MS) })
    const decoded = decodeText(new Uint8Array(await response.arrayBuffer()))
    if (response.ok && decoded.ok) return decoded.text
  } catch {
    // What went wrong on the way is the same to the kitchen: there is no list.
  }
  throw new Refusal('feed-away', `${address} does not answer with a price list.`, {
    kept: 'The prices are as they were.',
  })
}
