import type { Supplier } from '@fleam/contract/buying'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, longWords, maybeJson, maybeQuantity, quantity, ref, words } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

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
      deliveryDays: { ...maybeJson(), ...parsedJson('deliveryDays') },
      address: longWords(),
    },
    { tableName: 'suppliers' },
  )
