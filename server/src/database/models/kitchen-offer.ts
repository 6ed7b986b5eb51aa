import type { InferAttributes, InferCreationAttributes, Model, Sequelize } from 'sequelize'
import { id, ref } from './columns.ts'
import { type OfferColumns, offerColumns } from './offer-columns.ts'

/** A ready-portioned offer that was said once, beside the price book. */
export interface KitchenOfferModel
  extends Model<InferAttributes<KitchenOfferModel>, InferCreationAttributes<KitchenOfferModel>>,
    OfferColumns {
  id: string
  kitchenId: string
  styleId: string
  supplierId: string
}

export const defineKitchenOffer = (database: Sequelize) =>
  database.define<KitchenOfferModel>(
    'KitchenOffer',
    { id: id(), kitchenId: ref(), styleId: ref(), supplierId: ref(), ...offerColumns() },
    { tableName: 'offers' },
  )
