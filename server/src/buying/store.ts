import type { Article, ArticlePrice, Supplier } from '@fleam/contract'
import type { Sequelize, Transaction } from 'sequelize'
import { insertRows, number, type Row, rowsBy, select, text } from '../database/rows.ts'
import { articleFromRow, priceFromRow, supplierFromRow, supplierRow } from './rows.ts'

export async function suppliers(
  database: Sequelize,
  kitchenId: string,
  transaction?: Transaction,
): Promise<Supplier[]> {
  const sql = 'SELECT * FROM suppliers WHERE kitchen_id = :kitchenId ORDER BY name'
  return (await select(database, sql, { kitchenId }, transaction)).map(supplierFromRow)
}

/** Writes what a supplier asks for; one of a name that is there keeps its id. */
export async function putSupplier(database: Sequelize, kitchenId: string, supplier: Supplier): Promise<void> {
  await database.query(
    `INSERT INTO suppliers (id, kitchen_id, name, delivery, minimum_order)
     VALUES (:id, :kitchen_id, :name, :delivery, :minimum_order)
     ON DUPLICATE KEY UPDATE delivery = VALUES(delivery), minimum_order = VALUES(minimum_order)`,
    { replacements: supplierRow(kitchenId, supplier) },
  )
}

export const insertSuppliers = (
  database: Sequelize,
  kitchenId: string,
  added: readonly Supplier[],
  transaction: Transaction,
): Promise<void> =>
  insertRows(
    database,
    'suppliers',
    added.map((each) => supplierRow(kitchenId, each)),
    transaction,
  )

/** Articles with all their prices, in the order in which they were recorded. */
export interface PricedArticle {
  article: Article
  prices: ArticlePrice[]
}

async function priced(database: Sequelize, kitchenId: string, rows: readonly Row[]): Promise<PricedArticle[]> {
  if (rows.length === 0) return []
  const ids = rows.map((row) => text(row.id))
  const sql = `SELECT * FROM article_prices WHERE kitchen_id = :kitchenId AND article_id IN (:ids)
     ORDER BY recorded_at, id`
  const prices = rowsBy(await select(database, sql, { kitchenId, ids }), 'article_id')
  return rows.map((row) => ({
    article: articleFromRow(row),
    prices: (prices.get(text(row.id)) ?? []).map(priceFromRow),
  }))
}

export async function pricedArticle(database: Sequelize, kitchenId: string, id: string): Promise<PricedArticle | null> {
  const sql = 'SELECT * FROM articles WHERE kitchen_id = :kitchenId AND id = :id'
  const [found] = await priced(database, kitchenId, await select(database, sql, { kitchenId, id }))
  return found ?? null
}

/** Articles that are cut here, of these items, with their prices. */
export async function articlesOfItems(
  database: Sequelize,
  kitchenId: string,
  items: readonly string[],
): Promise<PricedArticle[]> {
  if (items.length === 0) return []
  const sql = `SELECT * FROM articles WHERE kitchen_id = :kitchenId AND item IN (:items) AND kind = 'whole'
     ORDER BY supplier, name`
  return priced(database, kitchenId, await select(database, sql, { kitchenId, items }))
}

/** Articles that are one of these products ready, with their prices. */
export async function articlesOfProducts(
  database: Sequelize,
  kitchenId: string,
  products: readonly string[],
): Promise<PricedArticle[]> {
  if (products.length === 0) return []
  const sql = `SELECT * FROM articles WHERE kitchen_id = :kitchenId AND product IN (:products) AND kind = 'ready'
     ORDER BY supplier, name`
  return priced(database, kitchenId, await select(database, sql, { kitchenId, products }))
}

/** How many articles are tied to each item and product. */
export async function tieCounts(database: Sequelize, kitchenId: string) {
  const sql = `SELECT item, product, kind, COUNT(*) AS count FROM articles
     WHERE kitchen_id = :kitchenId AND (item IS NOT NULL OR product IS NOT NULL) GROUP BY item, product, kind`
  const rows = await select(database, sql, { kitchenId })
  const counts = new Map<string, number>()
  for (const row of rows) {
    const key = row.kind === 'whole' ? row.item : row.product
    if (key !== null)
      counts.set(
        `${text(row.kind)} ${text(key)}`,
        (counts.get(`${text(row.kind)} ${text(key)}`) ?? 0) + number(row.count),
      )
  }
  return (kind: Article['kind'], name: string) => counts.get(`${kind} ${name}`) ?? 0
}

export interface ArticleSearch {
  words: string
  isTied: boolean
  limit: number
  offset: number
}

/** Articles that hold all of the words, in pages; tied ones first. */
export async function search(database: Sequelize, kitchenId: string, wish: ArticleSearch) {
  const words = wish.words.split(/\s+/).filter((word) => word !== '')
  const likes = words.map(
    (_, at) => `CONCAT_WS(' ', supplier, code, name, item, product) COLLATE utf8mb4_uca1400_ai_ci LIKE :word${at}`,
  )
  const where = [
    'kitchen_id = :kitchenId',
    ...likes,
    ...(wish.isTied ? ['(item IS NOT NULL OR product IS NOT NULL)'] : []),
  ]
  const parameters = {
    kitchenId,
    limit: wish.limit,
    offset: wish.offset,
    ...Object.fromEntries(words.map((word, at) => [`word${at}`, `%${word.replace(/[\\%_]/g, '\\$&')}%`])),
  }
  const condition = where.join(' AND ')
  const [total] = await select(database, `SELECT COUNT(*) AS total FROM articles WHERE ${condition}`, parameters)
  const rows = await select(
    database,
    `SELECT * FROM articles WHERE ${condition}
     ORDER BY (item IS NULL AND product IS NULL), supplier, name, id LIMIT :limit OFFSET :offset`,
    parameters,
  )
  return { found: await priced(database, kitchenId, rows), total: number(total?.total) }
}

/** Every article of a kitchen, for an import to look names up in. */
export async function allArticles(
  database: Sequelize,
  kitchenId: string,
  transaction: Transaction,
): Promise<Article[]> {
  const sql = 'SELECT * FROM articles WHERE kitchen_id = :kitchenId'
  return (await select(database, sql, { kitchenId }, transaction)).map(articleFromRow)
}

/** Prices of some articles by the article's id, as an import compares them. */
export async function pricesOf(
  database: Sequelize,
  kitchenId: string,
  ids: readonly string[],
  transaction: Transaction,
) {
  if (ids.length === 0) return new Map<string, ArticlePrice[]>()
  const sql = `SELECT * FROM article_prices WHERE kitchen_id = :kitchenId AND article_id IN (:ids) ORDER BY recorded_at, id`
  const rows = rowsBy(await select(database, sql, { kitchenId, ids }, transaction), 'article_id')
  return new Map([...rows].map(([id, list]) => [id, list.map(priceFromRow)]))
}

/** Every article with every price, for a price list of the whole book. */
export async function everything(database: Sequelize, kitchenId: string): Promise<PricedArticle[]> {
  const sql = 'SELECT * FROM articles WHERE kitchen_id = :kitchenId ORDER BY supplier, name, id'
  const rows = await select(database, sql, { kitchenId })
  const priceRows = await select(
    database,
    'SELECT * FROM article_prices WHERE kitchen_id = :kitchenId ORDER BY valid_from, recorded_at, id',
    { kitchenId },
  )
  const prices = rowsBy(priceRows, 'article_id')
  return rows.map((row) => ({
    article: articleFromRow(row),
    prices: (prices.get(text(row.id)) ?? []).map(priceFromRow),
  }))
}
