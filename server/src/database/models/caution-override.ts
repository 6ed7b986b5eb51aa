import type { CautionOverride } from '@fleam/contract/style'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { maybeWhole, ref, words } from './columns.ts'

export interface CautionOverrideModel
  extends Model<InferAttributes<CautionOverrideModel>, InferCreationAttributes<CautionOverrideModel>>,
    Omit<CautionOverride, 'itemId' | 'styleId' | 'step'> {
  kitchenId: string
  /** Where it holds; empty where it holds everywhere. */
  itemId: string
  styleId: string
  step: string
}

export const defineCautionOverride = (database: Sequelize) =>
  database.define<CautionOverrideModel>(
    'CautionOverride',
    {
      kitchenId: { ...ref(), primaryKey: true },
      cautionId: { ...words(60), primaryKey: true },
      itemId: { ...words(36), primaryKey: true },
      styleId: { ...words(36), primaryKey: true },
      step: { ...words(60), primaryKey: true },
      text: words(600),
      reason: words(600),
      boardMinutes: maybeWhole(),
      outMinutes: maybeWhole(),
    },
    { tableName: 'caution_overrides' },
  )
