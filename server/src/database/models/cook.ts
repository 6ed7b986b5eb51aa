import type { Cook } from '@fleam/contract/kitchen'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, maybeJson, quantity, ref, words } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

export interface CookModel extends Model<InferAttributes<CookModel>, InferCreationAttributes<CookModel>>, Cook {
  kitchenId: string
}

export const defineCook = (database: Sequelize) =>
  database.define<CookModel>(
    'Cook',
    {
      id: id(),
      kitchenId: ref(),
      name: words(),
      wagePerHour: quantity(),
      week: { ...maybeJson(), ...parsedJson('week') },
      skills: { ...maybeJson(), ...parsedJson('skills') },
    },
    { tableName: 'cooks' },
  )
