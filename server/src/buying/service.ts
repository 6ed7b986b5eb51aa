import { setImmediate as nextTurn } from 'node:timers/promises'
import {
  type Article,
  type ArticleRows,
  decodeText,
  guessMapping,
  type Kitchen,
  type NumberedLine,
  type PriceListContext,
  PriceListReading,
  type PriceMapping,
  priceListCsv,
  readTable,
  type Supplier,
} from '@fleam/contract'
import { documentOf, priceOn } from '@fleam/core'
import type { Sequelize } from 'sequelize'
import * as fabrications from '../fabrication/store.ts'
import { notFound, Refusal } from '../http/problems.ts'
import { requireKitchen } from '../kitchen/service.ts'
import { tieNames } from './forms.ts'
import { type ImportResult, importLines, refuseRows } from './import.ts'
import { lineOf } from './rows.ts'
import * as store from './store.ts'

export async function putSupplier(database: Sequelize, kitchenId: string, supplier: Supplier): Promise<Supplier[]> {
  await requireKitchen(database, kitchenId)
  await store.putSupplier(database, kitchenId, supplier)
  return store.suppliers(database, kitchenId)
}

/** A page of articles, each with the price of a day. */
export async function articles(
  database: Sequelize,
  kitchenId: string,
  wish: store.ArticleSearch,
  day: string,
): Promise<ArticleRows> {
  const { found, total } = await store.search(database, kitchenId, wish)
  const rows = found.map(({ article, prices }) => ({ article, current: priceOn(prices, day), prices: prices.length }))
  return { rows, total }
}

/** An article with its whole history, and the latest record of each style that rests on it. */
export async function articleHistory(database: Sequelize, kitchenId: string, id: string) {
  const found = await store.pricedArticle(database, kitchenId, id)
  if (!found) throw notFound('article')
  const states = await fabrications.latestOfEachStyle(database, kitchenId)
  const records = states.filter(({ record }) => restsOn(record, found.article))
  return {
    ...found,
    records: records.map((state) => ({ id: state.record.id, document: documentOf(state.record, state) })),
  }
}

type KnownRecord = Parameters<typeof documentOf>[0]

const restsOn = (record: KnownRecord, article: Article): boolean =>
  article.kind === 'whole'
    ? record.item === article.item && record.supplier === article.supplier
    : record.offers.some((offer) => offer.name === article.name)

/** What a price list is read against: the kitchen's money, units, items and products. */
export async function contextOf(database: Sequelize, kitchen: Kitchen): Promise<PriceListContext> {
  const ties = await tieNames(database, kitchen.id)
  return { currency: kitchen.currency, bareUnit: kitchen.units === 'metric' ? 'g' : 'lb', ...ties }
}

/** Between so many rows others are served: a long list must not hold up whoever weighs. */
const ROWS_A_TURN = 500

/** Reads a price list whole; refuses it with every row that is wrong. */
export async function readList(
  database: Sequelize,
  kitchenId: string,
  csv: string,
  mapping: PriceMapping,
): Promise<NumberedLine[]> {
  const kitchen = await requireKitchen(database, kitchenId)
  const reading = new PriceListReading(csv, mapping, await contextOf(database, kitchen))
  while (!reading.isDone) {
    reading.step(ROWS_A_TURN)
    await nextTurn()
  }
  const { lines, issues } = reading.result()
  if (issues.length > 0) throw refuseRows(issues)
  return lines
}

/** Adds one price by hand: the same road as a list of one row. */
export async function addLine(database: Sequelize, kitchenId: string, line: Omit<NumberedLine, 'row'>, now: Date) {
  const kitchen = await requireKitchen(database, kitchenId)
  const ties = await contextOf(database, kitchen)
  const refuse = (path: string, message: string) => {
    throw new Refusal('invalid-input', `${path} ${message}`, { issues: [{ path, message }] })
  }
  if (line.item !== null && !ties.items.has(line.item)) refuse('item', 'is not an item of this kitchen')
  if (line.product !== null && !ties.products.has(line.product)) refuse('product', 'is not a product of this kitchen')
  if (line.until !== null && line.until < line.from) refuse('until', 'must not be before from')
  const mapping: PriceMapping = { columns: {}, supplier: null, kind: line.kind, from: line.from, decimal: 'auto' }
  return importLines(database, kitchenId, { lines: [{ ...line, row: 1 }], mapping, source: 'typed', now })
}

/** The whole price book as a list that can be imported again. */
export async function exportList(database: Sequelize, kitchenId: string): Promise<string> {
  await requireKitchen(database, kitchenId)
  const all = await store.everything(database, kitchenId)
  return priceListCsv(all.flatMap(({ article, prices }) => prices.map((price) => lineOf(article, price))))
}

const FEED_TIMEOUT_MS = 8_000

/** Pulls today's list of a price feed and takes it in. */
export async function pullFeed(
  database: Sequelize,
  kitchenId: string,
  address: string | null,
  now: Date,
  day: string,
): Promise<ImportResult> {
  if (address === null) throw new Refusal('feed-away', 'No price feed is set.')
  const csv = await fetchList(address)
  const mapping = guessMapping(readTable(csv, 1).headers, day)
  const lines = await readList(database, kitchenId, csv, mapping)
  return importLines(database, kitchenId, { lines, mapping, source: 'feed', now })
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
