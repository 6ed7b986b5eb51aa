import { setImmediate as nextTurn } from 'node:timers/promises'
import type { ArticleRows, PriceAdded } from '@fleam/contract/buying/schemas'
import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import { priceOn } from '@fleam/core/buying'
import { decodeText } from '@fleam/core/csv'
import { documentOf } from '@fleam/core/fabrication'
import type { Article, PriceIssue, PriceListContext } from '@fleam/core/price-lists'
import { guessMapping, type NumberedLine, type PriceMapping, priceListCsv, readTable } from '@fleam/core/price-lists'
import type { Compute, PriceListRequest } from '../compute/index.ts'
import { latestOfEachStyle } from '../fabrication/index.ts'
import { MAX_ISSUES, notFound, Refusal } from '../http/index.ts'
import { dayOf, decide, type Scope } from '../scope/index.ts'
import { itemNames, products } from '../style/index.ts'
import { requireSupplier, suppliersNamed } from '../supplier/index.ts'
import { type ImportOptions, type ImportResult, importLines, refuseRows, type TiedLine } from './import.ts'
import { rememberMapping } from './mappings.ts'
import { lineOf } from './rows.ts'
import * as store from './store.ts'

/** A page of articles, each with the price of today. */
export async function articles(scope: Scope, request: store.ArticleSearch): Promise<ArticleRows> {
  const { found, total } = await store.search(scope, request)
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
    struck: await store.struckPrices(scope, id),
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

/** A price list that was read: its lines a slice at a time, as JSON. */
export interface ReadList {
  mapping: PriceMapping
  takes: 'all' | 'good'
  /** What is wrong with rows that are not taken. */
  skipped: readonly PriceIssue[]
  suppliers: readonly string[]
  slices: readonly string[]
}

/** Reads a price list whole, beside the server; refuses it with every row that is wrong. */
export async function readList(scope: Scope, compute: Compute, list: PriceListRequest['list']): Promise<ReadList> {
  const read = await compute.do('read-price-list', { list, context: contextOf(scope, await knownNames(scope)) })
  if ('mapping' in read) return read
  if (read.code === 'price-list-wrong') throw refuseRows(read.rows)
  throw new Refusal(read.code, read.detail, { issues: read.issues.slice(0, MAX_ISSUES) })
}

type ListOptions = Omit<ImportOptions, 'lines' | 'mapping' | 'takes'> & { list: ReadList }

/** Takes a list that was read in: its names are resolved here, once. Suppliers that are new are added. */
export function importList(scope: Scope, { list, ...options }: ListOptions): Promise<ImportResult> {
  return decide(scope, 'prices', async (inside) => {
    const names = await knownNames(inside)
    const supplierIds = await suppliersNamed(inside, list.suppliers)
    const tied = ({ supplier, item, product, ...line }: NumberedLine): TiedLine => ({
      ...line,
      supplierId: supplierIds.get(supplier) as string,
      itemId: item === null ? null : (names.items.get(item) ?? null),
      productId: product === null ? null : (names.products.get(product) ?? null),
    })
    const lines: TiedLine[] = []
    for (const slice of list.slices) {
      lines.push(...(JSON.parse(slice) as NumberedLine[]).map(tied))
      // A long list must not hold up whoever weighs.
      await nextTurn()
    }
    const { mapping, takes } = list
    const result = await importLines(inside, { ...options, mapping, takes, lines })
    if (options.source === 'list') await rememberMapping(inside, mapping, [...supplierIds.values()])
    return { ...result, skipped: [...list.skipped, ...result.skipped] }
  })
}

/** Adds one price by hand: the same road as a list of one row. */
export const createPrice = (scope: Scope, line: PriceAdded): Promise<ImportResult> =>
  decide(scope, 'prices', (inside) => addPrice(inside, line))

async function addPrice(scope: Scope, line: PriceAdded): Promise<ImportResult> {
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
export async function pullFeed(scope: Scope, compute: Compute, address: string | null): Promise<ImportResult> {
  if (address === null) throw new Refusal('feed-away', 'No price feed is set.')
  const csv = await fetchList(address)
  const mapping = guessMapping(readTable(csv, 1).headers, dayOf(scope))
  const list = await readList(scope, compute, { csv, mapping, takes: 'all' })
  return importList(scope, { list, source: 'feed' })
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
