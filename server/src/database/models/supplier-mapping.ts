import type { PriceMapping } from '@fleam/contract/price-columns'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { instant, json, ref } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

/** Which column of a supplier's list was which the last time. */
export interface SupplierMappingModel
  extends Model<InferAttributes<SupplierMappingModel>, InferCreationAttributes<SupplierMappingModel>> {
  kitchenId: string
  supplierId: string
  mapping: PriceMapping
  usedAt: Date
}

export const defineSupplierMapping = (database: Sequelize) =>
  database.define<SupplierMappingModel>(
    'SupplierMapping',
    {
      kitchenId: { ...ref(), primaryKey: true },
      supplierId: { ...ref(), primaryKey: true },
      mapping: { ...json(), ...parsedJson('mapping') },
      usedAt: instant(),
    },
    { tableName: 'supplier_mappings' },
  )
