import type { Article, ArticlePrice, PriceListLine } from '@fleam/contract/buying'
import type { ArticleModel, ArticlePriceModel } from '../database/index.ts'

export const articleOfRow = (row: ArticleModel): Article => ({
  id: row.id,
  supplierId: row.supplierId,
  supplier: row.supplier?.name ?? '',
  code: row.code,
  name: row.name,
  kind: row.kind,
  itemId: row.itemId,
  item: row.item?.name ?? null,
  productId: row.productId,
  product: row.product?.name ?? null,
  usableShare: row.usableShare,
  handlingMinutesPerPiece: row.handlingMinutesPerPiece,
})

/** What a price list may say anew of an article; its supplier and number are what it is known by. */
export type ArticleFields = Pick<
  Article,
  'name' | 'kind' | 'itemId' | 'productId' | 'usableShare' | 'handlingMinutesPerPiece'
>

export const articleColumns = ({
  name,
  kind,
  itemId,
  productId,
  usableShare,
  handlingMinutesPerPiece,
}: ArticleFields): ArticleFields => ({ name, kind, itemId, productId, usableShare, handlingMinutesPerPiece })

export const priceOfRow = (row: ArticlePriceModel['_attributes']): ArticlePrice => ({
  id: row.id,
  price: { amount: row.amount, per: row.per },
  pieceWeight: row.pieceWeight,
  packPieces: row.packPieces,
  packWeight: row.packWeight,
  delivery: row.delivery,
  minimumOrder: row.minimumOrder,
  from: row.validFrom,
  until: row.validUntil,
  source: row.source,
  recordedAt: row.recordedAt.toISOString(),
})

export const rowOfPrice = (
  kitchenId: string,
  articleId: string,
  price: Omit<ArticlePrice, 'recordedAt'>,
  recordedAt: Date,
) => ({
  id: price.id,
  kitchenId,
  articleId,
  amount: price.price.amount,
  per: price.price.per,
  pieceWeight: price.pieceWeight,
  packPieces: price.packPieces,
  packWeight: price.packWeight,
  delivery: price.delivery,
  minimumOrder: price.minimumOrder,
  validFrom: price.from,
  validUntil: price.until,
  source: price.source,
  recordedAt,
})

/** A line of a price list from an article and a price of it, by names. */
export const lineOf = (article: Article, price: ArticlePrice): PriceListLine => {
  const { id: _id, supplierId: _supplier, itemId: _item, productId: _product, ...known } = article
  const { id: _priceId, source: _source, recordedAt: _recordedAt, ...asked } = price
  return { ...known, ...asked }
}
