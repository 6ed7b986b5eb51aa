import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { maybeRef, position, quantity, ref, words } from './columns.ts'
import { type OfferColumns, offerColumns } from './offer-columns.ts'

/** A row of a list that an edit of the record replaces as a whole. */
interface ListRow {
  fabricationId: string
  position: number
  kitchenId: string
}

const listColumns = () => ({
  fabricationId: { ...ref(), primaryKey: true },
  position: { ...position(), primaryKey: true },
  kitchenId: ref(),
})

export interface FabricationLabourModel
  extends Model<InferAttributes<FabricationLabourModel>, InferCreationAttributes<FabricationLabourModel>>,
    ListRow {
  task: string
  minutes: number
  ratePerHour: number
}

export const defineFabricationLabour = (database: Sequelize) =>
  database.define<FabricationLabourModel>(
    'FabricationLabour',
    { ...listColumns(), task: words(), minutes: quantity(), ratePerHour: quantity() },
    { tableName: 'fabrication_labour' },
  )

export interface FabricationConsumableModel
  extends Model<InferAttributes<FabricationConsumableModel>, InferCreationAttributes<FabricationConsumableModel>>,
    ListRow {
  name: string
  cost: number
}

export const defineFabricationConsumable = (database: Sequelize) =>
  database.define<FabricationConsumableModel>(
    'FabricationConsumable',
    { ...listColumns(), name: words(), cost: quantity() },
    { tableName: 'fabrication_consumables' },
  )

export interface FabricationOfferModel
  extends Model<InferAttributes<FabricationOfferModel>, InferCreationAttributes<FabricationOfferModel>>,
    ListRow,
    OfferColumns {
  /** The article of the price book that is offered; null where it was typed. */
  articleId: string | null
}

export const defineFabricationOffer = (database: Sequelize) =>
  database.define<FabricationOfferModel>(
    'FabricationOffer',
    { ...listColumns(), articleId: maybeRef(), ...offerColumns() },
    { tableName: 'fabrication_offers' },
  )
