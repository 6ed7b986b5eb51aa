import type { StyleWork } from '@fleam/core/scheduling'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { json, ref } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

export interface StyleWorkModel
  extends Model<InferAttributes<StyleWorkModel>, InferCreationAttributes<StyleWorkModel>> {
  kitchenId: string
  styleId: string
  /** What it takes before and after the board, as the kitchen said. */
  work: StyleWork
}

export const defineStyleWork = (database: Sequelize) =>
  database.define<StyleWorkModel>(
    'StyleWork',
    {
      kitchenId: { ...ref(), primaryKey: true },
      styleId: { ...ref(), primaryKey: true },
      work: { ...json(), ...parsedJson('work') },
    },
    { tableName: 'style_work' },
  )
