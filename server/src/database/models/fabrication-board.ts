import type { FabricationRecord } from '@fleam/contract/fabrication'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { json, ref } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

/** What the board shows: large, read for one fabrication at a time, so that it does not burden lists. */
export interface FabricationBoardModel
  extends Model<InferAttributes<FabricationBoardModel>, InferCreationAttributes<FabricationBoardModel>> {
  fabricationId: string
  kitchenId: string
  steps: FabricationRecord['steps']
  choices: FabricationRecord['choices']
}

export const defineFabricationBoard = (database: Sequelize) =>
  database.define<FabricationBoardModel>(
    'FabricationBoard',
    {
      fabricationId: { ...ref(), primaryKey: true },
      kitchenId: ref(),
      steps: { ...json(), ...parsedJson('steps') },
      choices: { ...json(), ...parsedJson('choices') },
    },
    { tableName: 'fabrication_boards' },
  )
