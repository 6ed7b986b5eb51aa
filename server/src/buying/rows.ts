import type { Article, ArticlePrice, PriceListLine, Supplier } from '@fleam/contract'
import { instantText, number, numberOrNull, type Row, type SqlParameters, text, textOrNull } from '../database/rows.ts'

export const supplierFromRow = (row: Row): Supplier => ({
  id: text(row.id),
  name: text(row.name),
  delivery: number(row.delivery),
  minimumOrder: numberOrNull(row.minimum_order),
})

export const supplierRow = (kitchenId: string, supplier: Supplier): SqlParameters => ({
  id: supplier.id,
  kitchen_id: kitchenId,
  name: supplier.name,
  delivery: supplier.delivery,
  minimum_order: supplier.minimumOrder,
})

export const articleFromRow = (row: Row): Article => ({
  id: text(row.id),
  supplier: text(row.supplier),
  code: text(row.code),
  name: text(row.name),
  kind: row.kind as Article['kind'],
  item: textOrNull(row.item),
  product: textOrNull(row.product),
  usableShare: numberOrNull(row.usable_share),
  handlingMinutesPerPiece: numberOrNull(row.handling_minutes_per_piece),
})

type ArticleFields = Omit<Article, 'id'>

/** What a price list may say anew of an article; its supplier and number are what it is known by. */
export const articleColumns = (article: ArticleFields): SqlParameters => ({
  name: article.name,
  kind: article.kind,
  item: article.item,
  product: article.product,
  usable_share: article.usableShare,
  handling_minutes_per_piece: article.handlingMinutesPerPiece,
})

export const articleRow = (kitchenId: string, id: string, article: ArticleFields): SqlParameters => ({
  id,
  kitchen_id: kitchenId,
  supplier: article.supplier,
  code: article.code,
  ...articleColumns(article),
})

export const priceFromRow = (row: Row): ArticlePrice => ({
  id: text(row.id),
  price: { amount: number(row.amount), per: row.per as ArticlePrice['price']['per'] },
  pieceWeight: numberOrNull(row.piece_weight),
  packPieces: numberOrNull(row.pack_pieces),
  packWeight: numberOrNull(row.pack_weight),
  delivery: numberOrNull(row.delivery),
  minimumOrder: numberOrNull(row.minimum_order),
  from: text(row.valid_from),
  until: textOrNull(row.valid_until),
  source: row.source as ArticlePrice['source'],
  recordedAt: instantText(row.recorded_at),
})

export const priceRow = (
  kitchenId: string,
  articleId: string,
  price: Omit<ArticlePrice, 'recordedAt'>,
  recordedAt: Date,
): SqlParameters => ({
  id: price.id,
  kitchen_id: kitchenId,
  article_id: articleId,
  amount: price.price.amount,
  per: price.price.per,
  piece_weight: price.pieceWeight,
  pack_pieces: price.packPieces,
  pack_weight: price.packWeight,
  delivery: price.delivery,
  minimum_order: price.minimumOrder,
  valid_from: price.from,
  valid_until: price.until,
  source: price.source,
  recorded_at: recordedAt,
})

/** A line of a price list from an article and a price of it. */
export const lineOf = (article: Article, price: ArticlePrice): PriceListLine => {
  const { id: _id, ...known } = article
  const { id: _priceId, source: _source, recordedAt: _recordedAt, ...asked } = price
  return { ...known, ...asked }
}
