import type { Style } from '@fleam/contract/style'
import type { InferAttributes, InferCreationAttributes, Model, NonAttribute, Sequelize } from 'sequelize'
import { id, json, position, quantity, ref, whole, words, yesNo } from './columns.ts'
import { parsedJson } from './parsed-json.ts'
import type { StylePileModel } from './style-pile.ts'

export interface StyleModel extends Model<InferAttributes<StyleModel>, InferCreationAttributes<StyleModel>> {
  id: string
  kitchenId: string
  itemId: string
  position: number
  version: number
  name: string
  minutesPerUnit: number
  steps: Style['steps']
  options: Style['options']
  consumables: Style['consumables']
  isArchived: boolean
  piles?: NonAttribute<StylePileModel[]>
}

export const defineStyle = (database: Sequelize) =>
  database.define<StyleModel>(
    'Style',
    {
      id: id(),
      kitchenId: ref(),
      itemId: ref(),
      position: position(),
      version: whole(),
      name: words(),
      minutesPerUnit: quantity(),
      steps: { ...json(), ...parsedJson('steps') },
      options: { ...json(), ...parsedJson('options') },
      consumables: { ...json(), ...parsedJson('consumables') },
      isArchived: yesNo(),
    },
    { tableName: 'styles' },
  )
