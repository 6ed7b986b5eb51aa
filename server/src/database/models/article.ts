import type { Article } from '@fleam/contract/buying'
import type { InferAttributes, InferCreationAttributes, Model, NonAttribute, Sequelize } from 'sequelize'
import type { ArticlePriceModel } from './article-price.ts'
import { id, maybeQuantity, maybeRef, ref, words } from './columns.ts'
import type { ItemModel } from './item.ts'
import type { ProductModel } from './product.ts'
import type { SupplierModel } from './supplier.ts'

export interface ArticleModel extends Model<InferAttributes<ArticleModel>, InferCreationAttributes<ArticleModel>> {
  id: string
  kitchenId: string
  supplierId: string
  code: string
  name: string
  kind: Article['kind']
  itemId: string | null
  productId: string | null
  usableShare: number | null
  handlingMinutesPerPiece: number | null
  supplier?: NonAttribute<SupplierModel>
  item?: NonAttribute<ItemModel | null>
  product?: NonAttribute<ProductModel | null>
  prices?: NonAttribute<ArticlePriceModel[]>
}

export const defineArticle = (database: Sequelize) =>
  database.define<ArticleModel>(
    'Article',
    {
      id: id(),
      kitchenId: ref(),
      supplierId: ref(),
      code: words(),
      name: words(),
      kind: words(8),
      itemId: maybeRef(),
      productId: maybeRef(),
      usableShare: maybeQuantity(),
      handlingMinutesPerPiece: maybeQuantity(),
    },
    { tableName: 'articles' },
  )
