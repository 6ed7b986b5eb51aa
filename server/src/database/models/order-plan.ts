import type { Plan } from '@fleam/contract/planning'
import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, instant, json, maybeInstant, maybeJson, ref, whole, words } from './columns.ts'
import { parsedJson } from './parsed-json.ts'

export interface OrderPlanModel
  extends Model<InferAttributes<OrderPlanModel>, InferCreationAttributes<OrderPlanModel>> {
  id: string
  kitchenId: string
  version: number
  name: string
  draft: Plan['draft']
  acceptedAt: Date | null
  /** What was accepted, and what it was made of. */
  accepted: Pick<NonNullable<Plan['accepted']>, 'draft' | 'goods' | 'answer'> | null
  /** Who does what when, as it was last made or moved. */
  schedule: Plan['schedule']
  createdAt: Date
  updatedAt: Date
}

export const defineOrderPlan = (database: Sequelize) =>
  database.define<OrderPlanModel>(
    'OrderPlan',
    {
      id: id(),
      kitchenId: ref(),
      version: whole(),
      name: words(),
      draft: { ...json(), ...parsedJson('draft') },
      acceptedAt: maybeInstant(),
      accepted: { ...maybeJson(), ...parsedJson('accepted') },
      schedule: { ...maybeJson(), ...parsedJson('schedule') },
      createdAt: instant(),
      updatedAt: instant(),
    },
    { tableName: 'order_plans' },
  )
