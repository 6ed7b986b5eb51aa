import type { ArticlePrice } from '@fleam/contract/buying'
import type { CreationOptional, InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import {
  day,
  id,
  instant,
  maybeDay,
  maybeInstant,
  maybeQuantity,
  maybeWhole,
  maybeWords,
  quantity,
  ref,
  words,
} from './columns.ts'

/** A price as it was quoted: inserted, and never changed but for being struck out. */
export interface ArticlePriceModel
  extends Model<InferAttributes<ArticlePriceModel>, InferCreationAttributes<ArticlePriceModel>> {
  id: string
  kitchenId: string
  articleId: string
  amount: number
  per: ArticlePrice['price']['per']
  pieceWeight: number | null
  packPieces: number | null
  packWeight: number | null
  delivery: number | null
  minimumOrder: number | null
  validFrom: string
  validUntil: string | null
  source: ArticlePrice['source']
  recordedAt: Date
  /** When, by whom and why it was struck out; null while it counts. */
  struckAt: CreationOptional<Date | null>
  struckBy: CreationOptional<'bench' | 'office' | null>
  struckWhy: CreationOptional<string | null>
}

export const defineArticlePrice = (database: Sequelize) =>
  database.define<ArticlePriceModel>(
    'ArticlePrice',
    {
      id: id(),
      kitchenId: ref(),
      articleId: ref(),
      amount: quantity(),
      per: words(8),
      pieceWeight: maybeQuantity(),
      packPieces: maybeWhole(),
      packWeight: maybeQuantity(),
      delivery: maybeQuantity(),
      minimumOrder: maybeQuantity(),
      validFrom: day(),
      validUntil: maybeDay(),
      source: words(8),
      recordedAt: instant(),
      struckAt: maybeInstant(),
      struckBy: maybeWords(8),
      struckWhy: maybeWords(200),
    },
    { tableName: 'article_prices' },
  )
