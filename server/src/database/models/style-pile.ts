import type { StylePile } from '@fleam/contract/style'
import type { InferAttributes, InferCreationAttributes, Model, NonAttribute, Sequelize } from 'sequelize'
import { id, maybeQuantity, maybeRef, maybeWhole, maybeWords, position, quantity, ref, words } from './columns.ts'
import type { ProductModel } from './product.ts'

export interface StylePileModel
  extends Model<InferAttributes<StylePileModel>, InferCreationAttributes<StylePileModel>> {
  id: string
  kitchenId: string
  styleId: string
  position: number
  name: string
  class: StylePile['class']
  kind: StylePile['kind']
  boneShare: number
  cookingLoss: number
  chilledDays: number | null
  frozenMonths: number | null
  weighing: StylePile['weighing']
  expectedShare: number | null
  portionsPerUnit: number | null
  target: number | null
  low: number | null
  high: number | null
  landmark: string
  region: string | null
  valuePerKg: number | null
  usedShare: number | null
  processingPerKg: number | null
  /** What a portion pile is, whichever style gives it; null for other piles. */
  productId: string | null
  product?: NonAttribute<ProductModel | null>
}

export const defineStylePile = (database: Sequelize) =>
  database.define<StylePileModel>(
    'StylePile',
    {
      id: id(),
      kitchenId: ref(),
      styleId: ref(),
      position: position(),
      name: words(),
      class: words(12),
      kind: words(8),
      boneShare: quantity(),
      cookingLoss: quantity(),
      chilledDays: maybeWhole(),
      frozenMonths: maybeWhole(),
      weighing: words(8),
      expectedShare: maybeQuantity(),
      portionsPerUnit: maybeQuantity(),
      target: maybeQuantity(),
      low: maybeQuantity(),
      high: maybeQuantity(),
      landmark: words(200),
      region: maybeWords(60),
      valuePerKg: maybeQuantity(),
      usedShare: maybeQuantity(),
      processingPerKg: maybeQuantity(),
      productId: maybeRef(),
    },
    { tableName: 'style_piles' },
  )
