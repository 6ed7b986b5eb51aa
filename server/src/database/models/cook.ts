import type { Cook } from '@fleam/contract'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, quantity, ref, words } from './columns.ts'

export interface CookModel extends Model<InferAttributes<CookModel>, InferCreationAttributes<CookModel>>, Cook {
  kitchenId: string
}

export const defineCook = (database: Sequelize) =>
  database.define<CookModel>(
    'Cook',
    { id: id(), kitchenId: ref(), name: words(), wagePerHour: quantity() },
    { tableName: 'cooks' },
  )
