import type { Item } from '@fleam/contract/style'
import type { InferAttributes, InferCreationAttributes, Model, NonAttribute, Sequelize } from 'sequelize'
import { id, json, maybeWords, position, quantity, ref, words, yesNo } from './columns.ts'
import { parsedJson } from './parsed-json.ts'
import type { StyleModel } from './style.ts'

export interface ItemModel extends Model<InferAttributes<ItemModel>, InferCreationAttributes<ItemModel>> {
  id: string
  kitchenId: string
  position: number
  name: string
  species: Item['species']
  drawing: string | null
  shape: string | null
  unitOne: string
  unitMany: string
  unitLow: number
  unitUsual: number
  unitHigh: number
  landmarks: Item['landmarks']
  isArchived: boolean
  styles?: NonAttribute<StyleModel[]>
}

export const defineItem = (database: Sequelize) =>
  database.define<ItemModel>(
    'Item',
    {
      id: id(),
      kitchenId: ref(),
      position: position(),
      name: words(),
      species: words(20),
      drawing: maybeWords(60),
      shape: maybeWords(60),
      unitOne: words(),
      unitMany: words(),
      unitLow: quantity(),
      unitUsual: quantity(),
      unitHigh: quantity(),
      landmarks: { ...json(), ...parsedJson('landmarks') },
      isArchived: yesNo(),
    },
    { tableName: 'items' },
  )
