import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, maybeQuantity, ref, words } from './columns.ts'

/** Something that is served and can be bought ready, whichever item and style it is cut from. */
export interface ProductModel extends Model<InferAttributes<ProductModel>, InferCreationAttributes<ProductModel>> {
  id: string
  kitchenId: string
  name: string
  /** One plate of it, in pieces or in raw grams of meat without bone; both null where nobody said. */
  platePieces: number | null
  plateEdible: number | null
}

export const defineProduct = (database: Sequelize) =>
  database.define<ProductModel>(
    'Product',
    { id: id(), kitchenId: ref(), name: words(243), platePieces: maybeQuantity(), plateEdible: maybeQuantity() },
    { tableName: 'products' },
  )
