import type { Kitchen } from '@fleam/contract/kitchen'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, longWords, quantity, words } from './columns.ts'

export interface KitchenModel
  extends Model<InferAttributes<KitchenModel>, InferCreationAttributes<KitchenModel>>,
    Kitchen {}

export const defineKitchen = (database: Sequelize) =>
  database.define<KitchenModel>(
    'Kitchen',
    {
      id: id(),
      name: words(),
      currency: words(3),
      units: words(10),
      decimalMark: words(10),
      timeZone: words(64),
      wagePerHour: quantity(),
      lightPlates: words(10),
      address: longWords(),
    },
    { tableName: 'kitchens' },
  )
