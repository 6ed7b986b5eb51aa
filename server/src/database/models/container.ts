import type { Container } from '@fleam/contract/style'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, quantity, ref, words } from './columns.ts'

export interface ContainerModel
  extends Model<InferAttributes<ContainerModel>, InferCreationAttributes<ContainerModel>>,
    Container {
  kitchenId: string
}

export const defineContainer = (database: Sequelize) =>
  database.define<ContainerModel>(
    'Container',
    { id: id(), kitchenId: ref(), name: words(), grams: quantity() },
    { tableName: 'containers' },
  )
