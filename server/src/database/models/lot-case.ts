import type { LotCase } from '@fleam/contract/receiving'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, maybeQuantity, maybeWords, position, quantity, ref } from './columns.ts'

export interface LotCaseModel
  extends Model<InferAttributes<LotCaseModel>, InferCreationAttributes<LotCaseModel>>,
    LotCase {
  kitchenId: string
  lotId: string
  position: number
}

export const defineLotCase = (database: Sequelize) =>
  database.define<LotCaseModel>(
    'LotCase',
    {
      id: id(),
      kitchenId: ref(),
      lotId: ref(),
      position: position(),
      label: maybeWords(400),
      serial: maybeWords(40),
      invoiceWeight: quantity(),
      weighed: maybeQuantity(),
    },
    { tableName: 'lot_cases' },
  )
