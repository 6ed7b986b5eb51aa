import type { Supplier } from '@fleam/contract'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, longWords, maybeQuantity, quantity, ref, words } from './columns.ts'

export interface SupplierModel
  extends Model<InferAttributes<SupplierModel>, InferCreationAttributes<SupplierModel>>,
    Supplier {
  kitchenId: string
}

export const defineSupplier = (database: Sequelize) =>
  database.define<SupplierModel>(
    'Supplier',
    {
      id: id(),
      kitchenId: ref(),
      name: words(),
      delivery: quantity(),
      minimumOrder: maybeQuantity(),
      address: longWords(),
    },
    { tableName: 'suppliers' },
  )
