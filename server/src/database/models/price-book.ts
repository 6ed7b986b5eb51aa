import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { ref } from './columns.ts'

/** What imports of one kitchen take turns by. */
export interface PriceBookModel
  extends Model<InferAttributes<PriceBookModel>, InferCreationAttributes<PriceBookModel>> {
  kitchenId: string
}

export const definePriceBook = (database: Sequelize) =>
  database.define<PriceBookModel>(
    'PriceBook',
    { kitchenId: { ...ref(), primaryKey: true } },
    { tableName: 'price_books' },
  )
