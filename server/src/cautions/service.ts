import { cautionById } from '@fleam/catalogue'
import type { CautionOverride } from '@fleam/contract'
import type { Sequelize } from 'sequelize'
import { notFound } from '../http/problems.ts'
import { requireKitchen } from '../kitchen/service.ts'
import * as store from './store.ts'

/** Puts the kitchen's own words, with their reason, in place of a default. */
export async function override(
  database: Sequelize,
  kitchenId: string,
  own: CautionOverride,
): Promise<CautionOverride[]> {
  await requireKitchen(database, kitchenId)
  if (!cautionById(own.cautionId)) throw notFound('caution')
  await store.replaceOverride(database, kitchenId, own)
  return store.overrides(database, kitchenId)
}

/** The default holds again. */
export async function restore(database: Sequelize, kitchenId: string, cautionId: string): Promise<CautionOverride[]> {
  await store.removeOverride(database, kitchenId, cautionId)
  return store.overrides(database, kitchenId)
}
