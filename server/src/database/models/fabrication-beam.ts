import type { KeptBeam } from '@fleam/core/beam'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { json, ref } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

/** The two beams of a closed record: only drawn, and so apart from what is summed. */
export interface FabricationBeamModel
  extends Model<InferAttributes<FabricationBeamModel>, InferCreationAttributes<FabricationBeamModel>> {
  kitchenId: string
  fabricationId: string
  beam: KeptBeam
}

export const defineFabricationBeam = (database: Sequelize) =>
  database.define<FabricationBeamModel>(
    'FabricationBeam',
    {
      kitchenId: { ...ref(), primaryKey: true },
      fabricationId: { ...ref(), primaryKey: true },
      beam: { ...json(), ...parsedJson('beam') },
    },
    { tableName: 'fabrication_beams' },
  )
