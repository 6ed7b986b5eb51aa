import { cook, type Kitchen, kitchen, kitchenOffer } from '@fleam/contract/kitchen/schemas'
import { offerOfPile } from '@fleam/core/fabrication'
import type { Model } from 'sequelize'
import { z } from 'zod'
import { type ModelOf, table } from '../table.ts'

/** Kitchens, which are of no other kitchen. */
export const kitchenTable = table('kitchens', kitchen, { isOfKitchen: false })
export type KitchenModel = Model<Kitchen, Kitchen> & Kitchen

export const cookTable = table('cooks', cook)
export type CookModel = ModelOf<typeof cookTable>

/** Ready-portioned offers that were entered once, beside the price book. */
export const kitchenOfferTable = table(
  'offers',
  kitchenOffer.omit({ offer: true }).extend(z.object(offerOfPile.shape).shape),
  { parts: ['price'] },
)
