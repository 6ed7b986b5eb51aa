import type { RecordVersion } from '@fleam/contract/fabrication'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { instant, json, ref, whole, words } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

/** A record as it was before somebody changed it: inserted with the change, and never changed itself. */
export interface FabricationVersionModel
  extends Model<InferAttributes<FabricationVersionModel>, InferCreationAttributes<FabricationVersionModel>> {
  kitchenId: string
  fabricationId: string
  version: number
  replacedAt: Date
  actor: RecordVersion['actor']
  record: RecordVersion['record']
}

export const defineFabricationVersion = (database: Sequelize) =>
  database.define<FabricationVersionModel>(
    'FabricationVersion',
    {
      kitchenId: { ...ref(), primaryKey: true },
      fabricationId: { ...ref(), primaryKey: true },
      version: { ...whole(), primaryKey: true },
      replacedAt: instant(),
      actor: words(8),
      record: { ...json(), ...parsedJson('record') },
    },
    { tableName: 'fabrication_versions' },
  )
