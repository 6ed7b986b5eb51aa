import type { Cook, CookEdit, CookWeeks, Kitchen, KitchenOffer } from '@fleam/contract/kitchen/schemas'
import { cookTable, type Database, kitchenOfferTable } from '../database/index.ts'
import { ofKitchen, type Scope, within } from '../scope/index.ts'

/** All kitchens, in the order in which they were set up. */
export const kitchens = ({ models }: Database): Promise<Kitchen[]> =>
  models.Kitchen.findAll({ order: ['created_at', 'id'], raw: true })

/** A kitchen; null where there is none of this id. */
export const kitchenById = ({ models }: Database, id: string): Promise<Kitchen | null> =>
  models.Kitchen.findByPk(id, { raw: true })

/** Stores the kitchen of the scope. */
export async function insertKitchen(scope: Scope): Promise<void> {
  await scope.database.models.Kitchen.create(scope.kitchen, within(scope))
}

/** Overwrites what may be changed of the kitchen. */
export async function updateKitchen(scope: Scope, columns: Omit<Kitchen, 'id' | 'currency'>): Promise<void> {
  await scope.database.models.Kitchen.update(columns, { where: { id: scope.kitchen.id }, ...within(scope) })
}

/** All cooks of the kitchen with their weeks. */
export async function cooks(scope: Scope): Promise<Cook[]> {
  const rows = await scope.database.models.Cook.findAll({
    where: ofKitchen(scope),
    order: ['name'],
    raw: true,
    ...within(scope),
  })
  return rows.map(cookTable.fromRow)
}

/** Stores a cook. */
export async function insertCook(scope: Scope, cook: Cook): Promise<void> {
  await scope.database.models.Cook.create({ ...cook, kitchenId: scope.kitchen.id }, within(scope))
}

/** Changes when a cook is at the board and what they may cut. */
export async function updateCookWeek(scope: Scope, { id, ...edit }: CookWeeks['cooks'][number]): Promise<void> {
  await scope.database.models.Cook.update(edit, { where: ofKitchen(scope, { id }), ...within(scope) })
}

/** Overwrites what may be changed of a cook. */
export async function updateCook(scope: Scope, id: string, edit: CookEdit): Promise<void> {
  await scope.database.models.Cook.update(edit, { where: ofKitchen(scope, { id }), ...within(scope) })
}

/** Ready-portioned offers that the kitchen keeps. */
export async function offers(scope: Scope): Promise<KitchenOffer[]> {
  const rows = await scope.database.models.KitchenOffer.findAll({
    where: ofKitchen(scope),
    order: ['id'],
    raw: true,
    ...within(scope),
  })
  return rows.map(kitchenOfferTable.fromRow).map(({ id, styleId, supplierId, ...offer }) => ({
    ...{ id, styleId, supplierId },
    offer,
  }))
}

/** Stores an offer for a pile of a style. */
export async function insertOffer(scope: Scope, { offer, ...keys }: KitchenOffer): Promise<void> {
  const row = kitchenOfferTable.toRow({ ...keys, ...offer })
  await scope.database.models.KitchenOffer.create(ofKitchen(scope, row), within(scope))
}
