import type { LotCheck } from '@fleam/contract/receiving'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { maybeQuantity, maybeWords, ref, words, yesNo } from './columns.ts'

export interface LotCheckModel
  extends Model<InferAttributes<LotCheckModel>, InferCreationAttributes<LotCheckModel>>,
    LotCheck {
  kitchenId: string
  lotId: string
}

export const defineLotCheck = (database: Sequelize) =>
  database.define<LotCheckModel>(
    'LotCheck',
    {
      lotId: { ...ref(), primaryKey: true },
      checkId: { ...words(40), primaryKey: true },
      kitchenId: ref(),
      isFault: yesNo(),
      value: maybeQuantity(),
      note: maybeWords(600),
      worth: maybeQuantity(),
    },
    { tableName: 'lot_checks' },
  )
