import type { PlannedFabrication } from '@fleam/contract/planning'
import type { InferAttributes, InferCreationAttributes, Model, NonAttribute, Sequelize } from 'sequelize'
import { day, id, json, maybeRef, position, quantity, ref, whole, yesNo } from './columns.ts'
import type { OrderPlanModel } from './order-plan.ts'
import { parsedJson } from './parsed-json.ts'
import type { StyleModel } from './style.ts'

export interface PlannedFabricationModel
  extends Model<InferAttributes<PlannedFabricationModel>, InferCreationAttributes<PlannedFabricationModel>> {
  id: string
  kitchenId: string
  planId: string
  position: number
  styleId: string
  articleId: string
  supplierId: string
  day: string
  units: number
  minutes: number
  portions: PlannedFabrication['portions']
  money: number
  cookId: string | null
  lotId: string | null
  expectedLineId: string | null
  isDropped: boolean
  fabricationId: string | null
  plan?: NonAttribute<OrderPlanModel>
  style?: NonAttribute<StyleModel>
}

export const definePlannedFabrication = (database: Sequelize) =>
  database.define<PlannedFabricationModel>(
    'PlannedFabrication',
    {
      id: id(),
      kitchenId: ref(),
      planId: ref(),
      position: position(),
      styleId: ref(),
      articleId: ref(),
      supplierId: ref(),
      day: day(),
      units: whole(),
      minutes: quantity(),
      portions: { ...json(), ...parsedJson('portions') },
      money: quantity(),
      cookId: maybeRef(),
      lotId: maybeRef(),
      expectedLineId: maybeRef(),
      isDropped: yesNo(),
      fabricationId: maybeRef(),
    },
    { tableName: 'planned_fabrications' },
  )
