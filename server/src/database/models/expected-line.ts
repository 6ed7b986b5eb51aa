import type { ExpectedLine } from '@fleam/contract/planning'
import type { InferAttributes, InferCreationAttributes, Model, NonAttribute, Sequelize } from 'sequelize'
import { day, id, maybeRef, maybeWhole, position, quantity, ref, whole, words } from './columns.ts'
import type { LotModel } from './lot.ts'
import type { OrderPlanModel } from './order-plan.ts'
import type { SupplierModel } from './supplier.ts'

export interface ExpectedLineModel
  extends Model<InferAttributes<ExpectedLineModel>, InferCreationAttributes<ExpectedLineModel>> {
  id: string
  kitchenId: string
  planId: string
  position: number
  supplierId: string
  day: string
  kind: ExpectedLine['kind']
  articleId: string
  itemId: string | null
  name: string
  packs: number
  units: number
  price: number
  /** Packs that came, said at the door. */
  arrived: number | null
  plan?: NonAttribute<OrderPlanModel>
  supplier?: NonAttribute<SupplierModel>
  lots?: NonAttribute<LotModel[]>
}

export const defineExpectedLine = (database: Sequelize) =>
  database.define<ExpectedLineModel>(
    'ExpectedLine',
    {
      id: id(),
      kitchenId: ref(),
      planId: ref(),
      position: position(),
      supplierId: ref(),
      day: day(),
      kind: words(8),
      articleId: ref(),
      itemId: maybeRef(),
      name: words(500),
      packs: whole(),
      units: quantity(),
      price: quantity(),
      arrived: maybeWhole(),
    },
    { tableName: 'expected_lines' },
  )
