import type { Article, ArticlePrice, PriceListLine } from '@fleam/core/price-lists'
import { type ArticleModel, articlePriceTable, articleTable, type TableRow } from '../database/index.ts'

/** An article with the names of what it is tied to. */
export const articleOfRow = (row: ArticleModel): Article => ({
  ...articleTable.fromRow(row),
  supplier: row.supplier?.name ?? '',
  item: row.item?.name ?? null,
  product: row.product?.name ?? null,
})

/** What a price list may say anew of an article; its supplier and number are what it is known by. */
export type ArticleFields = Pick<
  Article,
  'name' | 'kind' | 'itemId' | 'productId' | 'usableShare' | 'handlingMinutesPerPiece'
>

/** The columns that say what an article is. */
export const articleColumns = ({
  name,
  kind,
  itemId,
  productId,
  usableShare,
  handlingMinutesPerPiece,
}: ArticleFields): ArticleFields => ({ name, kind, itemId, productId, usableShare, handlingMinutesPerPiece })

export type PriceRow = TableRow<typeof articlePriceTable>

/** A price as it was quoted, from its row. */
export const priceOfRow = (row: PriceRow): ArticlePrice => articlePriceTable.fromRow(row)

/** The row of a price that counts. */
export const rowOfPrice = (kitchenId: string, articleId: string, price: ArticlePrice): PriceRow => ({
  ...articlePriceTable.toRow({ ...price, articleId, struckAt: null, struckBy: null, struckWhy: null }),
  kitchenId,
})

/** A line of a price list from an article and a price of it, by names. */
export const lineOf = (article: Article, price: ArticlePrice): PriceListLine => {
  const { id: _id, supplierId: _supplier, itemId: _item, productId: _product, ...known } = article
  const { id: _priceId, source: _source, recordedAt: _recordedAt, ...asked } = price
  return { ...known, ...asked }
}
