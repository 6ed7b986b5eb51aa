import type { StruckPrice } from '@fleam/contract/buying/schemas'
import type { Article, ArticlePrice } from '@fleam/core/price-lists'
import { col, fn, literal, Op, type Order, where as sqlWhere, type WhereOptions } from 'sequelize'
import { ofKitchen, partOf, type Scope, within } from '../scope/index.ts'
import { articleOfRow, priceOfRow } from './rows.ts'

/** Articles with all their prices, in the order in which they were recorded. */
export interface PricedArticle {
  article: Article
  prices: ArticlePrice[]
}

const namesOf = (scope: Scope) =>
  ['supplier', 'item', 'product'].map((association) => partOf(scope, association, { attributes: ['name'] }))
const BY_NAME: Order = [
  [col('supplier.name'), 'ASC'],
  ['name', 'ASC'],
  ['id', 'ASC'],
] as Order
/** A price that was struck out counts nowhere. */
const COUNTS = { struckAt: null }
const AS_RECORDED: Order = ['recordedAt', 'id']

async function pricedWhere(
  scope: Scope,
  where: WhereOptions,
  {
    order = BY_NAME,
    prices = AS_RECORDED,
    ...page
  }: { order?: Order; prices?: Order; limit?: number; offset?: number } = {},
): Promise<PricedArticle[]> {
  const rows = await scope.database.models.Article.findAll({
    where: { [Op.and]: [ofKitchen(scope), where] },
    include: [
      ...namesOf(scope),
      partOf(scope, 'prices', { where: ofKitchen(scope, COUNTS), separate: true, order: prices }),
    ],
    order,
    subQuery: false,
    ...page,
    ...within(scope),
  })
  return rows.map((row) => ({
    article: articleOfRow(row),
    prices: (row.prices ?? []).map((price) => priceOfRow(price)),
  }))
}

/** An article with its prices; null where the kitchen has none of this id. */
export async function pricedArticle(scope: Scope, id: string): Promise<PricedArticle | null> {
  const [found] = await pricedWhere(scope, { id })
  return found ?? null
}

/** Articles that are cut here, of these items, with their prices. */
export const articlesOfItems = async (scope: Scope, itemIds: readonly string[]): Promise<PricedArticle[]> =>
  itemIds.length === 0 ? [] : pricedWhere(scope, { itemId: [...itemIds], kind: 'whole' })

/** Articles of a supplier that are cut here, with their prices. */
export const articlesOfSupplier = (scope: Scope, supplierId: string): Promise<PricedArticle[]> =>
  pricedWhere(scope, { supplierId, kind: 'whole' })

/** Articles that are one of these products ready, with their prices. */
export const articlesOfProducts = async (scope: Scope, productIds: readonly string[]): Promise<PricedArticle[]> =>
  productIds.length === 0 ? [] : pricedWhere(scope, { productId: [...productIds], kind: 'ready' })

/** These articles with their prices. */
export const articlesById = async (scope: Scope, ids: readonly string[]): Promise<PricedArticle[]> =>
  ids.length === 0 ? [] : pricedWhere(scope, { id: [...ids] })

/** How many articles are tied to each item and to each product, by its id. */
export async function tieCounts(scope: Scope): Promise<Map<string, number>> {
  const rows = (await scope.database.models.Article.findAll({
    attributes: ['kind', 'itemId', 'productId', [fn('COUNT', literal('*')), 'count']],
    where: ofKitchen(scope),
    group: ['kind', 'item_id', 'product_id'],
    raw: true,
    ...within(scope),
  })) as unknown as (Pick<Article, 'kind' | 'itemId' | 'productId'> & { count: number })[]
  const counts = new Map<string, number>()
  for (const { kind, itemId, productId, count } of rows) {
    const id = kind === 'whole' ? itemId : productId
    if (id !== null) counts.set(id, (counts.get(id) ?? 0) + Number(count))
  }
  return counts
}

export interface ArticleSearch {
  words: string
  isTied: boolean
  limit: number
  offset: number
}

const SEARCHED =
  "CONCAT_WS(' ', `supplier`.`name`, `Article`.`code`, `Article`.`name`, `item`.`name`, `product`.`name`)"

/** Articles that hold all of the words, in pages; tied ones first. */
export async function search(scope: Scope, request: ArticleSearch): Promise<{ found: PricedArticle[]; total: number }> {
  const words = request.words.split(/\s+/).filter((word) => word !== '')
  const holds = words.map((word) =>
    // Articles' own names tell accents and capitals apart; whoever searches does not.
    sqlWhere(literal(`${SEARCHED} COLLATE utf8mb4_uca1400_ai_ci`), Op.like, `%${word.replace(/[\\%_]/g, '\\$&')}%`),
  )
  const isTied = { [Op.or]: [{ itemId: { [Op.ne]: null } }, { productId: { [Op.ne]: null } }] }
  const where = { [Op.and]: [...holds, ...(request.isTied ? [isTied] : [])] }
  const total = await scope.database.models.Article.count({
    where: { [Op.and]: [ofKitchen(scope), where] },
    include: namesOf(scope),
    ...within(scope),
  })
  const found = await pricedWhere(scope, where, {
    order: [[literal('(item_id IS NULL AND product_id IS NULL)'), 'ASC'], ...(BY_NAME as [])],
    limit: request.limit,
    offset: request.offset,
  })
  return { found, total }
}

/** What an import looks articles up in. */
export const allArticles = (scope: Scope) =>
  scope.database.models.Article.findAll({ where: ofKitchen(scope), raw: true, ...within(scope) })

/** Prices of some articles by the article's id, as an import compares them. */
export async function pricesOf(scope: Scope, ids: readonly string[]): Promise<Map<string, ArticlePrice[]>> {
  const prices = new Map<string, ArticlePrice[]>()
  if (ids.length === 0) return prices
  const rows = await scope.database.models.ArticlePrice.findAll({
    where: ofKitchen(scope, { articleId: [...ids], ...COUNTS }),
    order: AS_RECORDED,
    raw: true,
    ...within(scope),
  })
  for (const row of rows) {
    const before = prices.get(row.articleId)
    if (before) before.push(priceOfRow(row))
    else prices.set(row.articleId, [priceOfRow(row)])
  }
  return prices
}

/** Prices of an article that were struck out, the last one first. */
export async function struckPrices(scope: Scope, articleId: string): Promise<StruckPrice[]> {
  const rows = await scope.database.models.ArticlePrice.findAll({
    where: ofKitchen(scope, { articleId, struckAt: { [Op.ne]: null } }),
    order: [['struckAt', 'DESC']],
    raw: true,
    ...within(scope),
  })
  return rows.map((row) => ({
    ...priceOfRow(row),
    struckAt: row.struckAt as string,
    struckBy: row.struckBy ?? 'office',
    struckWhy: row.struckWhy ?? '',
  }))
}

/** Every article with every price, for a price list of the whole book. */
export const everything = (scope: Scope): Promise<PricedArticle[]> =>
  pricedWhere(scope, {}, { prices: ['validFrom', 'recordedAt', 'id'] })
